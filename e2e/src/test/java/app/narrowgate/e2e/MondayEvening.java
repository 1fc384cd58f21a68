package app.narrowgate.e2e;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * Measures a house on a Monday evening: how long requests take by how many there are, with what a queue would make of it beside it, and by
 * how much lies in the database. Run by {@code scripts/monday-evening}; no test.
 *
 * <p>Arguments: gyms at the end, rounds of each, seconds a step, requests a second divided by commas.
 */
final class MondayEvening {

    private static final int PEOPLE = 200;
    private static final int CLASSES_KEPT = 100;
    /** In so many gyms a class is on. */
    private static final int AT_ONCE = 100;
    private static final int QUIET = 50;
    private static final int OF_ONE_GYM = 5;
    private static final int TIMES = 40;
    private static final String ROW = "%-22s | %7.0f %% | %6.1f %6.1f %6.1f | %6.1f %6.1f %6.1f | %s%n";

    private MondayEvening() {
    }

    /** Tells on standard output what it measures. */
    public static void main(String[] arguments) throws InterruptedException {
        int gyms = Integer.parseInt(arguments[0]);
        int seconds = Integer.parseInt(arguments[2]);
        double[] rates = Arrays.stream(arguments[3].split(",")).mapToDouble(Double::parseDouble).toArray();
        try (RunningApp app = RunningApp.start()) {
            Years years = new Years(new Coach(app.address()));
            var people = years.people(PEOPLE);
            years.rounds(people, Integer.parseInt(arguments[1]));
            years.classes(people, CLASSES_KEPT);
            ManyGyms house = new ManyGyms(app, app.stored("select id from gym").get(0));
            System.out.printf("%-22s | %9s | %20s | %20s |%n", "", "", "measured, ms", "a queue's, ms");
            System.out.printf("%-22s | %9s | %6s %6s %6s | %6s %6s %6s | refused%n", "", "busy", "median", "p95", "p99", "median", "p95", "p99");
            try (Evening alone = new Evening(app, 1)) {
                alone.load(OF_ONE_GYM, seconds);
                for (int many = 1; many <= gyms; many *= 10) {
                    house.until(many);
                    Evening.Load load = alone.load(OF_ONE_GYM, seconds);
                    row("%d gyms, one asks".formatted(many), load);
                }
            }
            try (Evening evening = new Evening(app, Math.min(AT_ONCE, gyms))) {
                // Until the compiler has seen most of it.
                evening.load(2 * QUIET, 3 * seconds);
                for (double rate : rates) {
                    row("%.0f a second".formatted(rate), evening.load(rate, seconds));
                }
                Evening.Load last = evening.load(QUIET, seconds);
                System.out.printf(Locale.ROOT, "A request takes %.2f ms of a core: %.2f the server, %.2f the database, %.2f whoever asks%n",
                        1000 * last.service(), 1000 * last.server(), 1000 * last.database(), 1000 * last.asking());
                System.out.println("Mean ms at %d a second: %s".formatted(QUIET, millis(last.means())));
                Map<Evening.Ask, Double> costs = new EnumMap<>(Evening.Ask.class);
                for (Evening.Ask ask : Evening.Ask.values()) {
                    costs.put(ask, evening.cost(ask, TIMES));
                }
                System.out.println("Each alone, ms of a core, server and database: " + millis(costs));
            }
        }
    }

    private static void row(String title, Evening.Load load) {
        ManyServers model = load.model();
        System.out.printf(Locale.ROOT, ROW, title, 100 * load.busy(), 1000 * load.within(0.5), 1000 * load.within(0.95), 1000 * load.within(0.99),
                1000 * model.within(0.5), 1000 * model.within(0.05), 1000 * model.within(0.01), load.refusals());
    }

    private static String millis(Map<Evening.Ask, Double> means) {
        return means.entrySet().stream().map(mean -> String.format(Locale.ROOT, "%s %.1f", mean.getKey(), 1000 * mean.getValue()))
                .collect(Collectors.joining(", "));
    }
}
