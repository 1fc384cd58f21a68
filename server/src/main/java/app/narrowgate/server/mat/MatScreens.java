package app.narrowgate.server.mat;

import app.narrowgate.server.event.Bell;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import io.micrometer.core.instrument.MeterRegistry;
import jakarta.annotation.PostConstruct;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * What follows classes from this node: for each change the class is put into words once and sent to every screen. A screen that is slow
 * misses what came in between and is sent the last; one whose link is withdrawn is told so and let go.
 */
@Component
class MatScreens implements SmartLifecycle {

    /** A stream is begun anew after this, so that whoever has lost their right to it is let go. */
    static final Duration LONGEST = Duration.ofMinutes(10);
    /** Screens of one class, and of this node in all. */
    static final int MOST_OF_A_CLASS = 600;
    static final int MOST = 2_000;

    private static final Logger LOG = LoggerFactory.getLogger(MatScreens.class);
    private static final MediaType TEXT = new MediaType("text", "plain", StandardCharsets.UTF_8);
    private static final Duration BETWEEN_BEATS = Duration.ofSeconds(15);
    private static final int SENDERS = 4;

    /** A class that is followed. */
    private record Followed(UUID gym, UUID lesson) {
    }

    /** Whom to tell of it: everybody, or those alone who have not been told anything yet. */
    private record Told(Followed followed, boolean onlyNew) {
    }

    /**
     * Something to send.
     *
     * @param event its name
     * @param data all of it
     * @param stand what alone changes from press to press, for whoever has been sent the same parts before; empty where there are none
     * @param parts tells one state of the parts from another
     */
    private record Word(String event, String data, String stand, int parts) {
        static final Word AWAY = new Word("away", "{}", "", 0);
        static final Word GONE = new Word("gone", "{}", "", 0);
    }

    private final MatStore mats;
    private final MatLinks links;
    private final Bell bell;
    private final JsonMapper json;
    private final Limits limits;
    private final Map<Followed, Set<Screen>> screens = new ConcurrentHashMap<>();
    private final Set<Told> toTell = ConcurrentHashMap.newKeySet();
    private final AtomicInteger count = new AtomicInteger();
    private final ScheduledExecutorService telling = Executors.newSingleThreadScheduledExecutor(daemon("mat-telling"));
    private volatile boolean running;
    private final ExecutorService sending = Executors.newFixedThreadPool(SENDERS, daemon("mat-sending"));

    MatScreens(MatStore mats, MatLinks links, Bell bell, JsonMapper json, Limits limits, MeterRegistry meters) {
        this.mats = mats;
        this.links = links;
        this.bell = bell;
        this.json = json;
        this.limits = limits;
        meters.gauge("narrowgate.mat.screens", count);
    }

    private static ThreadFactory daemon(String name) {
        return work -> {
            Thread thread = new Thread(work, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    @PostConstruct
    void listen() {
        bell.hear(MatStore.RING, ring -> tellAll(new Followed(ring.gym(), ring.about())), () -> screens.keySet().forEach(this::tellAll));
        telling.scheduleAtFixedRate(() -> screens.keySet().forEach(this::tellAll), BETWEEN_BEATS.toSeconds(), BETWEEN_BEATS.toSeconds(), TimeUnit.SECONDS);
    }

    @Override
    public void start() {
        running = true;
    }

    /** Before the server waits for what is on its way: streams would never end by themselves. */
    @Override
    public void stop() {
        running = false;
        telling.shutdownNow();
        screens.values().forEach(all -> all.forEach(Screen::end));
        sending.shutdown();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /**
     * Follows a class: the class now, and again whenever it changes, and every few seconds in any case.
     *
     * @param link by which it is followed; empty for whoever is signed in
     * @throws BusyException where too many follow
     */
    SseEmitter follow(UUID gym, UUID lesson, Optional<UUID> link) {
        Followed followed = new Followed(gym, lesson);
        if (count.get() >= MOST || screens.getOrDefault(followed, Set.of()).size() >= MOST_OF_A_CLASS) {
            limits.met(Limit.SCREENS_AT_ONCE);
            throw new BusyException("So many screens follow classes now that no other can. Try again in a minute.", Duration.ofMinutes(1));
        }
        Screen screen = new Screen(followed, link);
        screens.compute(followed, (key, there) -> {
            Set<Screen> all = there == null ? ConcurrentHashMap.newKeySet() : there;
            all.add(screen);
            return all;
        });
        count.incrementAndGet();
        tell(new Told(followed, true));
        return screen.emitter;
    }

    private void tellAll(Followed followed) {
        tell(new Told(followed, false));
    }

    /** Puts a class into words, once for however many rings, or new screens, have come meanwhile, and sends it. */
    private void tell(Told told) {
        if (screens.containsKey(told.followed()) && toTell.add(told) && !telling.isShutdown()) {
            telling.execute(() -> {
                toTell.remove(told);
                try {
                    GymScope.of(told.followed().gym()).run(() -> send(told));
                } catch (RuntimeException e) {
                    LOG.warn("A class could not be sent to its screens; they are sent it at the next change: {}", e.getMessage());
                }
            });
        }
    }

    private void send(Told told) {
        List<Screen> all = screens.getOrDefault(told.followed(), Set.of()).stream().filter(screen -> !told.onlyNew() || screen.isNew()).toList();
        if (all.isEmpty()) {
            return;
        }
        UUID lesson = told.followed().lesson();
        Optional<MatStore.Kept> kept = mats.find(lesson);
        Set<UUID> open = links.open(lesson);
        Word word = kept.map(mats::view).map(this::word).orElse(Word.AWAY);
        for (Screen screen : all) {
            boolean may = screen.link.isEmpty() || open.contains(screen.link.get());
            screen.say(may ? word : Word.GONE);
        }
    }

    private Word word(MatView view) {
        return new Word("mat", json.writeValueAsString(view), json.writeValueAsString(view.stand()),
                Objects.hash(view.parts(), view.title(), view.minutes()));
    }

    /** One that follows. */
    private final class Screen {

        private final Followed followed;
        private final Optional<UUID> link;
        private final SseEmitter emitter = new SseEmitter(LONGEST.toMillis());
        private final AtomicReference<Word> next = new AtomicReference<>();
        private final AtomicInteger waiting = new AtomicInteger();
        private volatile boolean told;
        /** Which parts it was sent last; one thread at a time sends. */
        private volatile OptionalInt parts = OptionalInt.empty();

        Screen(Followed followed, Optional<UUID> link) {
            this.followed = followed;
            this.link = link;
            emitter.onCompletion(this::forget);
            emitter.onTimeout(this::end);
            emitter.onError(e -> forget());
        }

        /** Sends this when what is being sent has gone, unless something newer has come by then. */
        void say(Word word) {
            told = true;
            next.set(word);
            if (waiting.getAndIncrement() == 0 && !sending.isShutdown()) {
                sending.execute(this::drain);
            }
        }

        boolean isNew() {
            return !told;
        }

        private void drain() {
            int seen;
            do {
                seen = waiting.get();
                Word word = next.getAndSet(null);
                if (word != null && !sent(word)) {
                    forget();
                }
            } while (!waiting.compareAndSet(seen, 0));
        }

        private boolean sent(Word word) {
            try {
                boolean known = !word.stand().isEmpty() && parts.isPresent() && parts.getAsInt() == word.parts();
                emitter.send(SseEmitter.event().name(known ? "stand" : word.event()).data(known ? word.stand() : word.data(), TEXT));
                parts = word.stand().isEmpty() ? OptionalInt.empty() : OptionalInt.of(word.parts());
                if (word == Word.GONE) {
                    emitter.complete();
                }
                return true;
            } catch (IOException | IllegalStateException closed) {
                return false;
            }
        }

        void end() {
            emitter.complete();
        }

        private void forget() {
            Set<Screen> all = screens.get(followed);
            if (all != null && all.remove(this)) {
                count.decrementAndGet();
                screens.computeIfPresent(followed, (key, left) -> left.isEmpty() ? null : left);
            }
        }
    }
}
