package app.narrowgate.e2e;

import java.util.List;
import java.util.stream.Stream;

/** Cuts the power of a house as often as it is told to, and says what came of it. Run by {@code scripts/power-cuts}; no test. */
final class PowerCutRun {

    private PowerCutRun() {
    }

    /** So many cuts in turns of server and database, and of nodes where there are several, or of the leader of a cluster, and what came of it. */
    public static void main(String[] arguments) throws Exception {
        int cuts = Integer.parseInt(arguments[0]);
        int nodes = Integer.parseInt(arguments[2]);
        boolean cluster = arguments[3].equals("cluster");
        List<PowerCuts.What> turns = cluster ? List.of(PowerCuts.What.LEADER) : nodes == 1 ? List.of(PowerCuts.What.SERVER, PowerCuts.What.DATABASE)
                : List.of(PowerCuts.What.SERVER, PowerCuts.What.DATABASE, PowerCuts.What.NODE);
        try (PowerCuts house = new PowerCuts(Long.parseLong(arguments[1]), nodes,
                cluster ? ThrowAwayDatabase.onACluster() : ThrowAwayDatabase.onTheDisk())) {
            for (int i = 0; i < cuts; i++) {
                PowerCuts.What what = turns.get(i % turns.size());
                house.cut(what);
                System.out.printf("%d of %d: %s, back after %.1f s%n", i + 1, cuts, what, house.back().toMillis() / 1000.0);
            }
            PowerCuts.Outcome outcome = house.outcome();
            System.out.printf("%-8s %12s %6s %8s%n", "", "acknowledged", "lost", "doubled");
            for (PowerCuts.Kind kind : PowerCuts.Kind.values()) {
                System.out.printf("%-8s %12d %6d %8d%n", kind, outcome.acknowledged().get(kind), outcome.lost().get(kind), outcome.doubled().get(kind));
            }
            if (!house.opens() || Stream.of(outcome.lost(), outcome.doubled()).anyMatch(counts -> counts.values().stream().anyMatch(one -> one > 0))) {
                System.exit(1);
            }
        }
        System.exit(0);
    }
}
