package app.narrowgate.e2e;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Measures how soon screens that follow one class see a press on the mat, and what they cost the server. Run by
 * {@code scripts/load screens}; no test.
 *
 * <p>Arguments: screens, presses.
 */
final class ScreensMeasurement {

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    private static final Pattern STEP = Pattern.compile("\"step\":(\\d+)");
    private static final Pattern VERSION = Pattern.compile("\"version\":(\\d+)");

    /** A press that all wait for. */
    private record Awaited(int version, long pressed, CountDownLatch left, ConcurrentLinkedQueue<Double> took) {
    }

    private final AtomicReference<Awaited> awaited = new AtomicReference<>();

    public static void main(String[] arguments) throws Exception {
        try (RunningApp app = RunningApp.start()) {
            new ScreensMeasurement().measure(app, Integer.parseInt(arguments[0]), Integer.parseInt(arguments[1]));
        }
    }

    private void measure(RunningApp app, int screens, int presses) throws Exception {
        Visitor visitor = Visitor.signedIn(app.address(), "tamsin", "open-the-gate");
        String today = LocalDate.now().toString();
        String map = "/api/maps/" + first(ID, text(visitor, "/api/maps"));
        String mat = map + "/classes/" + first(ID, text(visitor, map + "/classes?from=" + today + "&until=" + today)) + "/mat";
        String laid = sent(visitor, mat, "");
        try (Screens follow = new Screens(app.address())) {
            follow.open(visitor, mat, screens, this::heard);
            press(app, visitor, mat, Integer.parseInt(first(STEP, laid)), screens, presses);
        }
    }

    private void press(RunningApp app, Visitor visitor, String mat, int begun, int screens, int presses) throws InterruptedException {
        int step = begun;
        List<Double> all = new ArrayList<>();
        List<Double> last = new ArrayList<>();
        double before = app.processorSeconds();
        String deed = "start";
        for (int i = 0; i < presses; i++) {
            int version = Integer.parseInt(first(VERSION, text(visitor, mat)));
            Awaited next = new Awaited(version + 1, System.nanoTime(), new CountDownLatch(screens), new ConcurrentLinkedQueue<>());
            awaited.set(next);
            String answer = sent(visitor, mat + "/presses", Years.press(deed, step));
            step = Integer.parseInt(first(STEP, answer));
            deed = deed.equals("stop") ? "go" : "stop";
            if (!next.left().await(1, TimeUnit.MINUTES)) {
                throw new IllegalStateException(next.left().getCount() + " screens never saw a press");
            }
            all.addAll(next.took());
            last.add(Collections.max(next.took()));
        }
        double cost = (app.processorSeconds() - before) / presses;
        Collections.sort(all);
        Collections.sort(last);
        System.out.printf(Locale.ROOT, "%d screens, %d presses: median %.0f ms, p99 %.0f ms; the last screen median %.0f ms, worst %.0f ms; "
                + "%.0f ms of processor time a press%n", screens, presses, all.get(all.size() / 2), all.get((int) (all.size() * 0.99)),
                last.get(last.size() / 2), last.get(last.size() - 1), cost * 1000);
    }

    private void heard(String line) {
        Awaited now = awaited.get();
        Matcher version = VERSION.matcher(line);
        if (now != null && version.find() && Integer.parseInt(version.group(1)) == now.version() && now.left().getCount() > 0) {
            now.took().add((System.nanoTime() - now.pressed()) / 1e6);
            now.left().countDown();
        }
    }

    private static String text(Visitor visitor, String path) {
        return Visitor.text(visitor.get(path));
    }

    private static String sent(Visitor visitor, String path, String body) {
        return Visitor.text(visitor.send("POST", path, body));
    }

    private static String first(Pattern pattern, String text) {
        Matcher found = pattern.matcher(text);
        if (!found.find()) {
            throw new IllegalStateException("Nothing like " + pattern + " in " + text.substring(0, Math.min(300, text.length())));
        }
        return found.group(1);
    }
}
