package app.narrowgate.e2e;

import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Classes of several gyms at once, as a house sees them: presses on the mat, rounds that are noted, and people who read. Requests come at
 * random times, whether or not those before them are answered, and how long each takes is counted from when it was due.
 */
final class Evening implements AutoCloseable {

    private static final int CORES = 2;
    private static final int CLIENTS = 96;
    private static final int PEOPLE = 16;
    private static final long SEED = 20_261_130;
    private static final Pattern STEP = Pattern.compile("\"step\":(\\d+)");

    /**
     * What is asked for, and how often of a thousand, which is about what comes of one class: everybody opens the map and the class, rounds are
     * noted two at a time, and the coach looks at the record a few times; whoever has the odds already is not sent them again.
     */
    enum Ask {
        MAP(150), ODDS(150), ODDS_ANEW(30), CLASSES(80), CLASS_ON_THE_MAT(180), PEOPLE(60), TONIGHT(100), PRESS(60), ROUND(170), RECORD(3), EDIT(17);

        private final int share;

        Ask(int share) {
            this.share = share;
        }

        private static Ask any(Random random) {
            int left = random.nextInt(1000);
            for (Ask ask : values()) {
                left -= ask.share;
                if (left < 0) {
                    return ask;
                }
            }
            throw new IllegalStateException("Impossible state: the shares come to a thousand");
        }
    }

    /** A class on the mat, whoever teaches it, and what the device knows of it. */
    private static final class Lesson {
        private final Visitor visitor;
        private final String map;
        private final String mat;
        private final List<String> people;
        private volatile int step;
        private volatile int revision;

        private Lesson(Coach coach, int number) {
            visitor = coach.visitor();
            map = coach.map();
            people = coach.people(PEOPLE);
            mat = Years.onTheMat(coach, people, "Monday evening, class %d".formatted(number), today());
            revision = Coach.revision(visitor.get(map));
        }
    }

    /**
     * What came of it.
     *
     * @param seconds how long each took, from when it was due, the shortest first
     * @param means the mean of each kind
     * @param refusals what was not done as asked, by kind and status
     * @param server seconds of processor time a request that the server took
     * @param database the same of the database
     * @param asking the same of whoever asked, who is on the same machine
     * @param length how many seconds it went on
     */
    record Load(double[] seconds, Map<Ask, Double> means, Map<String, Integer> refusals, double server, double database, double asking,
            double length) {

        /** So many seconds at most took that share of them. */
        double within(double share) {
            return seconds[Math.max(0, (int) Math.ceil(share * seconds.length) - 1)];
        }

        /** Seconds of a core a request, of all that work for it. */
        double service() {
            return server + database + asking;
        }

        /** The share of the machine that was busy with it. */
        double busy() {
            return service() * seconds.length / length / CORES;
        }

        /** What a queue of the machine's cores would make of it, if all requests were alike. */
        ManyServers model() {
            return new ManyServers(seconds.length / length, service(), CORES);
        }
    }

    private final RunningApp app;
    private final List<Lesson> lessons = new ArrayList<>();
    private final Random random = new Random(SEED);
    private final ExecutorService clients = Executors.newFixedThreadPool(CLIENTS);

    /**
     * A class in each of the first gyms.
     *
     * @see ManyGyms
     */
    Evening(RunningApp app, int classes) {
        this.app = app;
        for (int i = 0; i < classes; i++) {
            lessons.add(new Lesson(new Coach(Visitor.signedIn(app.address(), ManyGyms.named("tamsin", i), "open-the-gate")), i));
        }
    }

    /** So many requests a second, for so many seconds. */
    Load load(double rate, double seconds) throws InterruptedException {
        Map<Ask, ConcurrentLinkedQueue<Double>> took = new EnumMap<>(Ask.class);
        for (Ask ask : Ask.values()) {
            took.put(ask, new ConcurrentLinkedQueue<>());
        }
        Map<String, Integer> refusals = new ConcurrentHashMap<>();
        double server = app.processorSeconds();
        double database = app.databaseSeconds();
        double asking = own();
        long begun = System.nanoTime();
        List<Future<?>> all = new ArrayList<>();
        for (double due = next(rate); due < seconds; due += next(rate)) {
            long at = begun + (long) (due * 1e9);
            Lesson lesson = lessons.get(random.nextInt(lessons.size()));
            Ask ask = Ask.any(random);
            Random own = new Random(random.nextLong());
            for (long left = at - System.nanoTime(); left > 0; left = at - System.nanoTime()) {
                LockSupport.parkNanos(left);
            }
            all.add(clients.submit(() -> {
                int status = asked(ask, lesson, own);
                took.get(ask).add((System.nanoTime() - at) / 1e9);
                if (status >= 300) {
                    refusals.merge(ask + " " + status, 1, Integer::sum);
                }
            }));
        }
        for (Future<?> one : all) {
            finished(one);
        }
        double length = (System.nanoTime() - begun) / 1e9;
        int many = all.size();
        Map<Ask, Double> means = new EnumMap<>(Ask.class);
        took.forEach((ask, times) -> means.put(ask, times.stream().mapToDouble(Double::doubleValue).average().orElse(0)));
        return new Load(took.values().stream().flatMap(ConcurrentLinkedQueue::stream).mapToDouble(Double::doubleValue).sorted().toArray(), means,
                new TreeMap<>(refusals), (app.processorSeconds() - server) / many, (app.databaseSeconds() - database) / many, (own() - asking) / many, length);
    }

    private static void finished(Future<?> one) throws InterruptedException {
        try {
            one.get(2, TimeUnit.MINUTES);
        } catch (ExecutionException | TimeoutException e) {
            throw new IllegalStateException("A request was not answered", e);
        }
    }

    private double next(double rate) {
        return -Math.log(1 - random.nextDouble()) / rate;
    }

    private static double own() {
        return ProcessHandle.current().info().totalCpuDuration().orElseThrow().toNanos() / 1e9;
    }

    /** As the house counts days. */
    private static LocalDate today() {
        return LocalDate.now(ZoneOffset.UTC);
    }

    /** Seconds of processor time that the server and its database take for one of a kind, so many times one after the other. */
    double cost(Ask ask, int times) {
        double before = app.processorSeconds() + app.databaseSeconds();
        for (int i = 0; i < times; i++) {
            int status = asked(ask, lessons.get(i % lessons.size()), random);
            if (status >= 300) {
                throw new IllegalStateException("%s was refused with %d".formatted(ask, status));
            }
        }
        return (app.processorSeconds() + app.databaseSeconds() - before) / times;
    }

    private static int asked(Ask ask, Lesson lesson, Random random) {
        Visitor visitor = lesson.visitor;
        LocalDate today = today();
        return switch (ask) {
            case MAP -> visitor.get(lesson.map).statusCode();
            case ODDS -> visitor.get(lesson.map + "/odds/overview?read=0.%d".formatted(random.nextInt(5))).statusCode();
            case ODDS_ANEW -> visitor.get(lesson.map + "/odds/overview?late=0.%06d".formatted(random.nextInt(1_000_000))).statusCode();
            case CLASSES -> visitor.get(lesson.map + "/classes?from=%s&until=%s".formatted(today.minusDays(3), today.plusDays(3))).statusCode();
            case CLASS_ON_THE_MAT -> visitor.get(lesson.mat).statusCode();
            case PEOPLE -> visitor.get("/api/people").statusCode();
            case TONIGHT -> visitor.get(lesson.map + "/record/tonight").statusCode();
            case PRESS -> {
                HttpResponse<byte[]> answer = visitor.send("POST", lesson.mat + "/presses", Years.press(random.nextBoolean() ? "stop" : "go", lesson.step));
                Matcher step = STEP.matcher(Visitor.text(answer));
                if (step.find()) {
                    lesson.step = Integer.parseInt(step.group(1));
                }
                yield answer.statusCode();
            }
            case ROUND -> visitor.send("POST", lesson.map + "/record/events",
                    "{\"events\":[%s]}".formatted(Years.round(lesson.people, random, Instant.now()))).statusCode();
            case RECORD -> visitor.get(lesson.map + "/record/odds").statusCode();
            case EDIT -> {
                HttpResponse<byte[]> answer = visitor.send("POST", lesson.map + "/parts", """
                        {"revision":%d,"summary":"Monday evening","parts":[{"list":"facts","id":"monday-%d","part":{"title":"Noted %d"}}]}"""
                        .formatted(lesson.revision, random.nextInt(8), random.nextInt(1_000_000)));
                if (answer.statusCode() == 200) {
                    lesson.revision = Coach.revision(answer);
                }
                yield answer.statusCode();
            }
        };
    }

    @Override
    public void close() {
        clients.shutdownNow();
    }
}
