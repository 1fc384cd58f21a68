package app.narrowgate.e2e;

import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ThreadLocalRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Measures the server under readers and editors who think between two requests, and what single requests cost in
 * processor time, on the demo's map when it is new and when it has a long history. Run by {@code scripts/load}; no
 * test.
 *
 * <p>Arguments: readers, editors, seconds, revisions of the long history.
 */
final class LoadMeasurement {

    private static final int TIMES = 400;
    private static final Pattern REVISION = Pattern.compile("\"revision\":(\\d+)");
    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");

    private final RunningApp app;
    private final Visitor visitor;
    private final String map;
    private final Map<String, List<Double>> took = new ConcurrentHashMap<>();
    private final Map<String, Integer> answers = new ConcurrentHashMap<>();

    private LoadMeasurement(RunningApp app) {
        this.app = app;
        this.visitor = Visitor.signedIn(app.address(), "tamsin", "open-the-gate");
        this.map = "/api/maps/" + first(ID, visitor.get("/api/maps"));
    }

    public static void main(String[] arguments) throws InterruptedException {
        int readers = Integer.parseInt(arguments[0]);
        int editors = Integer.parseInt(arguments[1]);
        int seconds = Integer.parseInt(arguments[2]);
        int revisions = Integer.parseInt(arguments[3]);
        try (RunningApp app = RunningApp.start()) {
            LoadMeasurement measurement = new LoadMeasurement(app);
            measurement.costs("warming up");
            measurement.costs("a new map");
            for (int i = 0; i < revisions; i++) {
                measurement.edit(measurement.visitor, "history", i);
            }
            measurement.costs(measurement.revision(measurement.visitor) + " revisions");
            measurement.crowd(readers, editors, Duration.ofSeconds(seconds));
        }
    }

    private static String first(Pattern pattern, HttpResponse<byte[]> answer) {
        Matcher found = pattern.matcher(Visitor.text(answer));
        if (!found.find()) {
            throw new IllegalStateException("Unexpected: " + answer.statusCode() + " " + Visitor.text(answer));
        }
        return found.group(1);
    }

    private int revision(Visitor who) {
        // The odds carry it, and are short.
        return Integer.parseInt(first(REVISION, who.get(map + "/odds/overview")));
    }

    private int edit(Visitor who, String key, int number) {
        int revision = revision(who);
        HttpResponse<byte[]> answer = who.send("POST", map + "/parts", """
                {"revision":%d,"summary":"Measured","parts":[{"list":"facts","id":"measured-%s","part":{"title":"Measured %d"}}]}"""
                .formatted(revision, key, number));
        return answer.statusCode();
    }

    private void costs(String when) {
        cost(when, "the map", () -> visitor.get(map));
        cost(when, "the odds, known", () -> visitor.get(map + "/odds?read=0.25"));
        int[] step = {0};
        cost(when, "the odds, asked anew", () -> visitor.get(map + "/odds/overview?late=%s"
                .formatted(0.001 * ++step[0] + ThreadLocalRandom.current().nextDouble() * 1e-5)));
        int[] number = {ThreadLocalRandom.current().nextInt(1_000_000)};
        int[] base = {revision(visitor)};
        cost(when, "an edit", () -> {
            HttpResponse<byte[]> answer = visitor.send("POST", map + "/parts", """
                    {"revision":%d,"summary":"Measured","parts":[{"list":"facts","id":"measured","part":{"title":"Measured %d"}}]}"""
                    .formatted(base[0]++, number[0]++));
            if (answer.statusCode() != 200) {
                throw new IllegalStateException(Visitor.text(answer));
            }
        });
    }

    private void cost(String when, String what, Runnable request) {
        double before = app.processorSeconds();
        long begun = System.nanoTime();
        for (int i = 0; i < TIMES; i++) {
            request.run();
        }
        System.out.printf(Locale.ROOT, "%s: %s: %.1f ms of processor, %.1f ms on the clock%n", when, what,
                1000 * (app.processorSeconds() - before) / TIMES, (System.nanoTime() - begun) / 1e6 / TIMES);
    }

    /** Readers walk through the map, the odds and the views; editors change a fact of their own. */
    private void crowd(int readers, int editors, Duration length) throws InterruptedException {
        List<Visitor> visitors = new ArrayList<>();
        for (int i = 0; i < readers + editors; i++) {
            visitors.add(Visitor.signedIn(app.address(), "tamsin", "open-the-gate"));
        }
        CountDownLatch begin = new CountDownLatch(1);
        List<Thread> threads = new ArrayList<>();
        long[] until = new long[1];
        for (int i = 0; i < visitors.size(); i++) {
            int number = i;
            Thread thread = new Thread(() -> {
                try {
                    begin.await();
                    Random random = new Random(number);
                    think(random);
                    while (System.nanoTime() < until[0]) {
                        if (number < readers) {
                            read(visitors.get(number), random);
                        } else {
                            timed("an edit", () -> edit(visitors.get(number), "editor-" + number, random.nextInt(1_000_000)));
                        }
                        think(random);
                    }
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            });
            thread.start();
            threads.add(thread);
        }
        until[0] = System.nanoTime() + length.toNanos();
        begin.countDown();
        for (Thread thread : threads) {
            thread.join();
        }
        List<Double> all = new ArrayList<>();
        new TreeMap<>(took).forEach((what, times) -> {
            tell("%d readers, %d editors: %s".formatted(readers, editors, what), times);
            all.addAll(times);
        });
        tell("%d readers, %d editors: everything".formatted(readers, editors), all);
        System.out.println("answers by status: " + new TreeMap<>(answers));
    }

    private static void think(Random random) throws InterruptedException {
        Thread.sleep(500 + random.nextInt(1500));
    }

    private void read(Visitor who, Random random) {
        String slider = "read=%.2f&late=%.1f".formatted(random.nextInt(101) / 100.0, random.nextInt(31) / 10.0);
        switch (random.nextInt(5)) {
            case 0 -> timed("the map", () -> who.get(map).statusCode());
            case 1 -> timed("the odds", () -> who.get(map + "/odds?" + slider).statusCode());
            case 2 -> timed("a slider's step", () -> who.get(map + "/odds/overview?" + slider).statusCode());
            case 3 -> timed("the flow", () -> who.get(map + "/odds/flow?" + slider).statusCode());
            default -> timed("the questions", () -> who.get(map + "/questions?" + slider).statusCode());
        }
    }

    private void timed(String what, java.util.function.IntSupplier request) {
        long begun = System.nanoTime();
        int status = request.getAsInt();
        took.computeIfAbsent(what, key -> Collections.synchronizedList(new ArrayList<>()))
                .add((System.nanoTime() - begun) / 1e6);
        answers.merge(what + " " + status, 1, Integer::sum);
    }

    private static void tell(String what, List<Double> times) {
        List<Double> sorted = times.stream().sorted().toList();
        System.out.printf(Locale.ROOT, "%s: %d, median %.0f ms, p95 %.0f ms, p99 %.0f ms, worst %.0f ms%n", what, sorted.size(),
                sorted.get(sorted.size() / 2), sorted.get(sorted.size() * 95 / 100), sorted.get(sorted.size() * 99 / 100),
                sorted.get(sorted.size() - 1));
    }
}
