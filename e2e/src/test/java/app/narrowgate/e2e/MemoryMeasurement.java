package app.narrowgate.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Measures what the server holds: while an evening goes on, or while many screens follow its classes. Run by
 * {@code scripts/monday-evening}; no test.
 *
 * <p>Arguments: {@code hour}, minutes, requests a second; or {@code streams}, screens.
 */
final class MemoryMeasurement {

    private static final int GYMS = 20;
    private static final int PEOPLE = 40;
    private static final int ROUNDS = 2_000;
    private static final int OF_A_CLASS = 500;
    private static final int LOOKS = 12;
    private static final Pattern USED = Pattern.compile("(?:generation|tenured|heap).* used (\\d+)K");
    private static final Pattern RESIDENT = Pattern.compile("VmRSS:\\s*(\\d+) kB");

    private MemoryMeasurement() {
    }

    /** What the server holds now, in MB; threads and open files are counted. */
    private record Held(double live, double resident, int threads, int files) {

        static Held by(RunningApp app) {
            long process = app.process();
            command(process, "GC.run");
            double live = numbers(USED, command(process, "GC.heap_info")) / 1024;
            Path of = Path.of("/proc", Long.toString(process));
            try (Stream<Path> threads = Files.list(of.resolve("task")); Stream<Path> files = Files.list(of.resolve("fd"))) {
                return new Held(live, numbers(RESIDENT, Files.readString(of.resolve("status"))) / 1024, (int) threads.count(), (int) files.count());
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        private static double numbers(Pattern pattern, String text) {
            return pattern.matcher(text).results().map((MatchResult found) -> found.group(1)).mapToDouble(Double::parseDouble).sum();
        }

        private static String command(long process, String what) {
            try {
                Process command = new ProcessBuilder(Path.of(Unpacked.JAVA).resolveSibling("jcmd").toString(), Long.toString(process), what).start();
                return new String(command.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        void tell(String when) {
            System.out.printf(Locale.ROOT, "%s: %.0f MB live, %.0f MB resident, %d threads, %d files%n", when, live, resident, threads, files);
        }
    }

    /** Tells on standard output what it measures. */
    public static void main(String[] arguments) throws InterruptedException {
        try (RunningApp app = RunningApp.start()) {
            if (arguments[0].equals("hour")) {
                hour(app, Integer.parseInt(arguments[1]), Double.parseDouble(arguments[2]));
            } else {
                streams(app, Integer.parseInt(arguments[1]));
            }
        }
    }

    private static void hour(RunningApp app, int minutes, double rate) throws InterruptedException {
        Years years = new Years(new Coach(app.address()));
        years.rounds(years.people(PEOPLE), ROUNDS);
        new ManyGyms(app, app.stored("select id from gym").get(0)).until(GYMS);
        Held.by(app).tell("before");
        try (Evening evening = new Evening(app, GYMS)) {
            for (int look = 1; look <= LOOKS; look++) {
                Evening.Load load = evening.load(rate, minutes * 60.0 / LOOKS);
                Held.by(app).tell("after %.0f minutes, %d requests in the last %.0f, p99 %.0f ms, refused %s".formatted(minutes * look / (double) LOOKS,
                        load.seconds().length, minutes / (double) LOOKS, 1000 * load.within(0.99), load.refusals()));
            }
        }
    }

    private static void streams(RunningApp app, int many) throws InterruptedException {
        Coach coach = new Coach(app.address());
        List<String> people = coach.people(PEOPLE);
        Held before = Held.by(app);
        before.tell("without screens");
        try (Screens screens = new Screens(app.address())) {
            for (int i = 0; i < many; i += OF_A_CLASS) {
                String mat = Years.onTheMat(coach, people, "Followed %d".formatted(i), LocalDate.now(ZoneOffset.UTC));
                screens.open(coach.visitor(), mat, Math.min(OF_A_CLASS, many - i), line -> { });
            }
            Held.by(app).tell(many + " screens");
        }
    }
}
