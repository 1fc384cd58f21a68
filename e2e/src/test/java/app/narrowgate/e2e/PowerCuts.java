package app.narrowgate.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Stream;

/**
 * A house on a database of its own in which four people write without a pause: changes of the map, rounds for the record, presses on the mat, classes.
 * The server or the database is killed while they do, and afterwards what was acknowledged is counted. What has an id of its own is sent again until
 * it is acknowledged, as a device does; a change of the map is not, since it may have been stored.
 */
final class PowerCuts implements AutoCloseable {

    /** What somebody writes. */
    enum Kind {
        EDIT, ROUND, PRESS, CLASS
    }

    /**
     * What is killed: the server until it is back, the database until it is back, one node of several while the others go on, or the node that leads a
     * cluster of the database, until another does.
     */
    enum What {
        SERVER, DATABASE, NODE, LEADER
    }

    /**
     * What came of it, by what was written.
     *
     * @param acknowledged how many the server said were stored
     * @param lost how many of those are not there
     * @param doubled how many of all that were sent are there twice
     * @param back how long each cut lasted: from the kill until the server said that it was ready again, and where a node died until a change,
     *     a round and a press had been acknowledged again
     */
    record Outcome(Map<Kind, Integer> acknowledged, Map<Kind, Integer> lost, Map<Kind, Integer> doubled, List<Duration> back) {
    }

    private static final Duration PATIENCE = Duration.ofMinutes(4);
    private static final Duration COME_BACK = Duration.ofMillis(200);
    /** Between one cut and the next, so many writes at least, and so many at random. */
    private static final int BETWEEN = 4;
    private static final int BETWEEN_AT_RANDOM = 12;
    private static final int PRESSES_A_CLASS = 150;
    private static final int PEOPLE = 6;
    /** The server's own word for it, and a proxy's. */
    private static final Set<Integer> AWAY = Set.of(502, 503, 504);

    private final ThrowAwayDatabase database;
    private final List<RunningApp> nodes = new ArrayList<>();
    private final Random random;
    private Proxy proxy;
    private String address;
    private String map;
    private List<String> people;
    private final List<Thread> writers = new ArrayList<>();
    private final Map<Kind, List<String>> acknowledged = new EnumMap<>(Kind.class);
    private final Map<Kind, List<String>> sent = new EnumMap<>(Kind.class);
    private final List<Duration> back = new ArrayList<>();
    private boolean down;
    private boolean over;
    private Throwable failed;

    /**
     * A house of several nodes.
     *
     * @param seed of when the cuts come
     * @param many nodes, behind a proxy where they are several
     * @param database not started
     */
    PowerCuts(long seed, int many, ThrowAwayDatabase database) throws IOException {
        random = new Random(seed);
        this.database = database;
        for (Kind kind : Kind.values()) {
            acknowledged.put(kind, new ArrayList<>());
            sent.put(kind, new ArrayList<>());
        }
        try {
            begin(many);
        } catch (RuntimeException | IOException e) {
            close();
            throw e;
        }
    }

    private void begin(int many) throws IOException {
        nodes.add(RunningApp.on(database.start()));
        while (nodes.size() < many) {
            nodes.add(nodes.get(0).beside());
        }
        proxy = many == 1 ? null : new Proxy(nodes.toArray(RunningApp[]::new));
        address = proxy == null ? nodes.get(0).address() : proxy.address();
        Coach coach = new Coach(address);
        map = coach.map();
        people = coach.people(PEOPLE);
        // All have signed in before the first cut: who cannot sign in does not write.
        List<Coach> coaches = Stream.generate(() -> new Coach(address)).limit(Kind.values().length).toList();
        write(coaches.get(0), this::edits);
        write(coaches.get(1), this::rounds);
        write(coaches.get(2), this::presses);
        write(coaches.get(3), this::classes);
    }

    private void write(Coach coach, Consumer<Coach> writing) {
        Thread writer = new Thread(() -> {
            try {
                writing.accept(coach);
            } catch (RuntimeException | AssertionError e) {
                fail(e);
            }
        });
        writers.add(writer);
        writer.start();
    }

    private synchronized void fail(Throwable e) {
        failed = e;
        notifyAll();
    }

    private void edits(Coach coach) {
        int revision = revision(coach);
        for (int i = 0; !over(); i++) {
            String words = "Cut " + i;
            sent(Kind.EDIT, words);
            int on = revision;
            HttpResponse<byte[]> answer = tried(() -> coach.save(on, words));
            if (answer != null && answer.statusCode() == 200) {
                acknowledged(Kind.EDIT, words);
                revision = Coach.revision(answer);
            } else if (!over()) {
                revision = revision(coach);
            }
        }
    }

    private int revision(Coach coach) {
        HttpResponse<byte[]> answer = again(() -> coach.visitor().get(map));
        return answer == null ? 1 : Coach.revision(answer);
    }

    private void rounds(Coach coach) {
        while (!over()) {
            UUID id = UUID.randomUUID();
            sent(Kind.ROUND, id.toString());
            if (again(() -> coach.visitor().send("POST", map + "/record/events", """
                    {"events":[{"id":"%s","kind":"round","at":"%s","person":"%s","partner":"%s","start":"mount-low","ending":"tap"}]}"""
                    .formatted(id, Instant.now(), people.get(0), people.get(1)))) != null) {
                acknowledged(Kind.ROUND, id.toString());
            }
        }
    }

    private void classes(Coach coach) {
        while (!over()) {
            UUID id = UUID.randomUUID();
            sent(Kind.CLASS, id.toString());
            if (again(() -> lesson(coach, id)) != null) {
                acknowledged(Kind.CLASS, id.toString());
            }
        }
    }

    private HttpResponse<byte[]> lesson(Coach coach, UUID id) {
        return coach.visitor().send("POST", map + "/classes", """
                {"id":"%s","lesson":{"title":"Cut","day":"2032-05-04","starts":"19:30","minutes":60,"family":"mount","read":0.25,"late":0.5,
                "usual":"step-by-step","here":["%s"],"fixed":[],"out":[],"together":[],"apart":[],"odd":"three","limit":12,"turn":0}}"""
                .formatted(id, String.join("\",\"", people)));
    }

    /** A running class whose step is made longer again and again; another one after some time, as a gym has it. */
    private void presses(Coach coach) {
        while (!over()) {
            UUID lesson = UUID.randomUUID();
            String at = map + "/classes/" + lesson;
            again(() -> lesson(coach, lesson));
            again(() -> coach.visitor().send("POST", at + "/mat", ""));
            for (int i = 0; i < PRESSES_A_CLASS && !over(); i++) {
                String id = UUID.randomUUID().toString();
                sent(Kind.PRESS, lesson + " " + id);
                String press = i == 0 ? "\"deed\":\"start\",\"step\":0" : "\"deed\":\"longer\",\"step\":1,\"seconds\":1";
                if (again(() -> coach.visitor().send("POST", at + "/mat/presses", "{\"id\":\"%s\",%s,\"ago\":0}".formatted(id, press))) != null) {
                    acknowledged(Kind.PRESS, lesson + " " + id);
                }
            }
        }
    }

    /** What is sent until it is acknowledged; null where it is over before that. */
    private HttpResponse<byte[]> again(Supplier<HttpResponse<byte[]>> sending) {
        Instant until = Instant.now().plus(PATIENCE);
        while (Instant.now().isBefore(until)) {
            HttpResponse<byte[]> answer = tried(sending);
            if (answer != null && answer.statusCode() < 300) {
                return answer;
            }
            if (answer != null && !AWAY.contains(answer.statusCode())) {
                throw new AssertionError("Refused with %d: %s".formatted(answer.statusCode(), Visitor.text(answer)));
            }
            if (over()) {
                return null;
            }
            comeBack();
        }
        throw new AssertionError("Not taken for " + PATIENCE);
    }

    /** What is sent once; null where no answer came. Waits while everything is down. */
    private HttpResponse<byte[]> tried(Supplier<HttpResponse<byte[]>> sending) {
        awaitUp();
        try {
            return sending.get();
        } catch (UncheckedIOException gone) {
            return null;
        }
    }

    /** A little later, as a device does. */
    private synchronized void comeBack() {
        try {
            wait(COME_BACK.toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private synchronized void awaitUp() {
        while (down && failed == null) {
            try {
                wait();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
    }

    private synchronized boolean over() {
        return over || failed != null;
    }

    private synchronized void sent(Kind kind, String id) {
        sent.get(kind).add(id);
    }

    private synchronized void acknowledged(Kind kind, String id) {
        acknowledged.get(kind).add(id);
        notifyAll();
    }

    /** Kills something in the middle of all that, starts it again, and waits until all is ready. */
    void cut(What what) {
        // Of one kind after the other: a class takes long to plan.
        awaitWrites(Set.of(Kind.values()[back.size() % Kind.values().length]));
        Instant at = Instant.now();
        switch (what) {
            case SERVER -> {
                setDown(true);
                nodes.forEach(RunningApp::kill);
                nodes.forEach(RunningApp::startAgain);
                nodes.get(0).awaitHealth(address);
            }
            case DATABASE -> {
                setDown(true);
                database.kill();
                database.start();
                nodes.forEach(RunningApp::awaitHealth);
                nodes.get(0).awaitHealth(address);
            }
            case NODE -> {
                RunningApp node = nodes.get(back.size() % nodes.size());
                node.kill();
                awaitWrites(Set.of(Kind.EDIT, Kind.ROUND, Kind.PRESS));
                back.add(Duration.between(at, Instant.now()));
                // It would take long beside four who write without a pause.
                setDown(true);
                node.startAgain();
                setDown(false);
                return;
            }
            case LEADER -> {
                database.kill();
                awaitWrites(Set.of(Kind.EDIT, Kind.ROUND, Kind.PRESS));
                back.add(Duration.between(at, Instant.now()));
                database.heal();
                return;
            }
        }
        back.add(Duration.between(at, Instant.now()));
        setDown(false);
    }

    private synchronized void setDown(boolean now) {
        down = now;
        notifyAll();
    }

    /** Until something of each of these kinds, and so many of all together, has been acknowledged. */
    private synchronized void awaitWrites(Set<Kind> kinds) {
        Map<Kind, Integer> before = new EnumMap<>(Kind.class);
        kinds.forEach(kind -> before.put(kind, acknowledged.get(kind).size()));
        int all = all() + BETWEEN + random.nextInt(BETWEEN_AT_RANDOM);
        Instant until = Instant.now().plus(PATIENCE);
        while (before.entrySet().stream().anyMatch(one -> acknowledged.get(one.getKey()).size() <= one.getValue()) || all() < all) {
            requireGoingOn();
            if (Instant.now().isAfter(until)) {
                throw new AssertionError("Nothing was acknowledged any more: " + acknowledged.entrySet().stream()
                        .map(one -> one.getKey() + " " + one.getValue().size()).toList());
            }
            try {
                wait(1_000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }
    }

    private int all() {
        return acknowledged.values().stream().mapToInt(List::size).sum();
    }

    private void requireGoingOn() {
        if (failed != null) {
            throw new AssertionError("Somebody who writes failed: " + failed, failed);
        }
    }

    /** Ends the writing, and counts. */
    Outcome outcome() throws InterruptedException {
        synchronized (this) {
            over = true;
        }
        for (Thread writer : writers) {
            writer.join(PATIENCE.toMillis());
        }
        synchronized (this) {
            requireGoingOn();
            Map<Kind, Integer> lost = new EnumMap<>(Kind.class);
            Map<Kind, Integer> doubled = new EnumMap<>(Kind.class);
            count(Kind.EDIT, stored("select summary from map_revision"), lost, doubled);
            count(Kind.ROUND, stored("select id::text from record_event"), lost, doubled);
            count(Kind.CLASS, stored("select id::text from lesson where version = 1"), lost, doubled);
            countPresses(lost, doubled);
            Map<Kind, Integer> counts = new EnumMap<>(Kind.class);
            acknowledged.forEach((kind, ids) -> counts.put(kind, ids.size()));
            return new Outcome(counts, lost, doubled, List.copyOf(back));
        }
    }

    private Map<String, Integer> stored(String query) {
        Map<String, Integer> times = new HashMap<>();
        nodes.get(0).stored(query).forEach(one -> times.merge(one, 1, Integer::sum));
        return times;
    }

    private void count(Kind kind, Map<String, Integer> stored, Map<Kind, Integer> lost, Map<Kind, Integer> doubled) {
        lost.put(kind, (int) acknowledged.get(kind).stream().filter(id -> !stored.containsKey(id)).count());
        doubled.put(kind, (int) sent.get(kind).stream().filter(id -> stored.getOrDefault(id, 0) > 1).count());
    }

    /** A class on the mat counts in its version what was pressed: one for being laid out, one for each press. */
    private void countPresses(Map<Kind, Integer> lost, Map<Kind, Integer> doubled) {
        Map<String, Integer> version = new HashMap<>();
        nodes.get(0).stored("select lesson_id || ' ' || version from mat").forEach(one -> version.put(one.split(" ")[0], Integer.parseInt(one.split(" ")[1])));
        int less = 0;
        int more = 0;
        for (String lesson : sent.get(Kind.PRESS).stream().map(one -> one.split(" ")[0]).distinct().toList()) {
            int counted = version.getOrDefault(lesson, 1) - 1;
            less += Math.max(0, of(acknowledged.get(Kind.PRESS), lesson) - counted);
            more += Math.max(0, counted - of(sent.get(Kind.PRESS), lesson));
        }
        lost.put(Kind.PRESS, less);
        doubled.put(Kind.PRESS, more);
    }

    private static int of(List<String> presses, String lesson) {
        return (int) presses.stream().filter(one -> one.startsWith(lesson)).count();
    }

    /** How long the latest cut lasted. */
    Duration back() {
        return back.get(back.size() - 1);
    }

    /** Whether the map can be put together and solved, as far as the server says. */
    boolean opens() {
        Visitor visitor = new Coach(address).visitor();
        return visitor.get(map + "/file").statusCode() == 200 && visitor.get(map + "/odds").statusCode() == 200;
    }

    @Override
    public void close() throws IOException {
        synchronized (this) {
            over = true;
            down = false;
            notifyAll();
        }
        if (proxy != null) {
            proxy.close();
        }
        // The first one's database goes with it.
        Collections.reverse(nodes);
        nodes.forEach(RunningApp::close);
        database.close();
    }
}
