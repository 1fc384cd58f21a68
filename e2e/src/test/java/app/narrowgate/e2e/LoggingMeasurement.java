package app.narrowgate.e2e;

import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;

/**
 * Measures many people who note rounds at the same moment, each on a connection of their own, and counts what was kept. What is refused
 * for now, or not answered, is sent again, as devices do. Run by {@code scripts/monday-evening logging}; no test.
 *
 * <p>Arguments: people, rounds of each.
 */
final class LoggingMeasurement {

    private static final int PARTNERS = 40;
    private static final int AGAIN = 20;
    /** Signing in is slow, so that passwords cannot be tried; several people share a session. */
    private static final int SESSIONS = 50;
    private static final int NO_ANSWER = 0;

    private LoggingMeasurement() {
    }

    /** @throws IllegalStateException where a round was lost, or kept twice */
    public static void main(String[] arguments) throws Exception {
        int many = Integer.parseInt(arguments[0]);
        int rounds = Integer.parseInt(arguments[1]);
        try (RunningApp app = RunningApp.start()) {
            Coach coach = new Coach(app.address());
            List<String> people = coach.people(PARTNERS);
            List<Visitor> visitors = new ArrayList<>();
            for (int i = 0; i < Math.min(SESSIONS, many); i++) {
                visitors.add(Visitor.signedIn(app.address(), "tamsin", "open-the-gate"));
            }
            ConcurrentHashMap<Integer, Integer> met = new ConcurrentHashMap<>();
            CountDownLatch begin = new CountDownLatch(1);
            ExecutorService threads = Executors.newFixedThreadPool(many);
            int before = kept(app);
            List<Future<double[]>> all = new ArrayList<>();
            for (int i = 0; i < many; i++) {
                Visitor visitor = visitors.get(i % visitors.size());
                Random random = new Random(i);
                all.add(threads.submit(() -> {
                    begin.await();
                    double[] took = new double[rounds];
                    for (int j = 0; j < rounds; j++) {
                        took[j] = noted(visitor, coach.map(), Years.round(people, random, Instant.now()), met);
                    }
                    return took;
                }));
            }
            long begun = System.nanoTime();
            begin.countDown();
            List<Double> took = new ArrayList<>();
            for (Future<double[]> one : all) {
                Arrays.stream(one.get()).forEach(took::add);
            }
            double length = (System.nanoTime() - begun) / 1e9;
            threads.shutdown();
            int kept = kept(app) - before;
            took.sort(null);
            System.out.printf(Locale.ROOT, "%d people, %d rounds each, at once: %d kept of %d, in %.1f s; median %.0f ms, p99 %.0f ms, "
                    + "worst %.0f ms; answers %s%n",
                    many, rounds, kept, many * rounds, length, took.get(took.size() / 2), took.get((int) (took.size() * 0.99)),
                    took.get(took.size() - 1), new TreeMap<>(met));
            if (kept != many * rounds) {
                throw new IllegalStateException("%d rounds were acknowledged, %d are kept".formatted(many * rounds, kept));
            }
        }
    }

    private static int kept(RunningApp app) {
        return Integer.parseInt(app.stored("select count(*) from record_event").get(0));
    }

    /** Milliseconds until it was acknowledged. */
    private static double noted(Visitor visitor, String map, String round, ConcurrentHashMap<Integer, Integer> met) {
        long begun = System.nanoTime();
        for (int i = 0; i < AGAIN; i++) {
            int status = sent(visitor, map, round);
            met.merge(status, 1, Integer::sum);
            if (status == 204) {
                return (System.nanoTime() - begun) / 1e6;
            }
            if (status != 503 && status != 429 && status != NO_ANSWER) {
                throw new IllegalStateException("Refused with " + status);
            }
        }
        throw new IllegalStateException("Refused " + AGAIN + " times");
    }

    private static int sent(Visitor visitor, String map, String round) {
        try {
            return visitor.send("POST", map + "/record/events", "{\"events\":[%s]}".formatted(round)).statusCode();
        } catch (UncheckedIOException cut) {
            return NO_ANSWER;
        }
    }
}
