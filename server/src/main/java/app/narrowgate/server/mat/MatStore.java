package app.narrowgate.server.mat;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.mat.MatPart;
import app.narrowgate.core.mat.MatRun;
import app.narrowgate.core.mat.MatScript;
import app.narrowgate.core.mat.WhatCame;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.event.Bell;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.lesson.PlannedLesson;
import app.narrowgate.server.lesson.RunLessons;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps classes as they run. Whoever steers does so one after the other; every change rings for the screens. */
@Service
class MatStore {

    /** The word by which the bell rings for a running class. */
    static final String RING = "mat";

    /** Presses that are remembered: more than anybody makes while a network is away. */
    private static final int HEARD = 200;
    /** A press that was made longer ago is taken as if it had been made so long ago. */
    private static final Duration LONGEST_AGO = Duration.ofHours(1);

    /** A running class with its map. */
    record Kept(UUID lesson, StoredMap map, int version, MatRun run) {
    }

    private final MatMapper mapper;
    private final RunLessons lessons;
    private final MapStore maps;
    private final People people;
    private final Gyms gyms;
    private final Bell bell;
    private final Clock clock;

    MatStore(MatMapper mapper, RunLessons lessons, MapStore maps, People people, Gyms gyms, Bell bell, Clock clock) {
        this.mapper = mapper;
        this.lessons = lessons;
        this.maps = maps;
        this.people = people;
        this.gyms = gyms;
        this.bell = bell;
        this.clock = clock;
    }

    /**
     * Lays a class out to run, as it is planned now. One that is laid out already stays as it is, unless it has not begun and its plan
     * has been changed since.
     *
     * @throws RefusedException where nothing is planned, or it was run already
     */
    @Transactional
    Kept layOut(UUID mapId, UUID lesson, SignedIn by) {
        maps.requireChangeable(mapId);
        int from = lessons.version(mapId, lesson);
        Optional<MatRow> there = mapper.held(lesson);
        if (there.map(MatRow::body).flatMap(MatText::read).filter(one -> one.run().state() != MatRun.State.READY || one.from() == from).isEmpty()) {
            if (!lessons.lesson(mapId, lesson).came().isEmpty()) {
                throw new RefusedException("This class has been run, and what came of it is kept. Plan another one.");
            }
            StoredMap map = maps.head(mapId);
            PlannedLesson planned = lessons.planned(map, lesson, by);
            List<MatPart> parts = planned.plan().map(plan -> MatScript.of(map.index(), plan, planned.rounds())).orElse(List.of());
            MatRun run = MatRun.ready(parts, lessons.lesson(mapId, lesson).here(), now());
            String body = MatText.write(new MatText.Running(run, List.of(), from));
            if (there.isPresent()) {
                mapper.update(lesson, body, now());
            } else {
                mapper.insert(lesson, mapId, body, now());
            }
            ring(lesson);
        }
        return one(mapId, lesson);
    }

    /**
     * A class as it runs, at this moment.
     *
     * @throws NotFoundException where it is not laid out to run
     */
    Kept one(UUID mapId, UUID lesson) {
        return find(lesson).filter(kept -> kept.map().id().equals(mapId)).orElseThrow(MatStore::notRunning);
    }

    /** The same; empty where it is not laid out to run. */
    Optional<Kept> find(UUID lesson) {
        return mapper.byLesson(lesson).flatMap(row -> MatText.read(row.body()).map(running -> kept(row, running)));
    }

    private Kept kept(MatRow row, MatText.Running running) {
        return new Kept(row.lesson(), maps.head(row.map()), row.version(), running.run().at(now()));
    }

    /** Throws away how it ran, so that it can be laid out anew; what came of it before stays with the class. */
    @Transactional
    void throwAway(UUID mapId, UUID lesson) {
        maps.requireChangeable(mapId);
        lessons.lesson(mapId, lesson);
        if (mapper.delete(lesson) == 0) {
            throw notRunning();
        }
        ring(lesson);
    }

    /**
     * Does something to a running class.
     *
     * @param press the id of the press; one that was heard already does nothing
     * @param ago how long ago it was made, such as while the network was away
     * @param by whoever does it, with an account; somebody else ends no class
     * @param deed from the class, and the instant at which it was done, to what comes of it
     */
    @Transactional
    Kept steer(UUID lesson, UUID press, Duration ago, Optional<UUID> by, BiFunction<Kept, Instant, MatRun> deed) {
        MatRow row = mapper.held(lesson).orElseThrow(MatStore::notRunning);
        MatText.Running before = MatText.read(row.body()).orElseThrow(MatStore::notRunning);
        if (before.heard().contains(press)) {
            return kept(row, before);
        }
        Instant at = made(ago, before.run().since());
        StoredMap map = maps.head(row.map());
        MatRun after = deed.apply(new Kept(lesson, map, row.version(), before.run()), at);
        List<UUID> heard = new ArrayList<>(before.heard().subList(Math.max(0, before.heard().size() - HEARD + 1), before.heard().size()));
        heard.add(press);
        if (after.state() == MatRun.State.OVER && by.isEmpty()) {
            return kept(row, before);
        }
        mapper.update(lesson, MatText.write(new MatText.Running(after, heard, before.from())), now());
        if (!after.equals(before.run())) {
            ring(lesson);
        }
        if (after.state() == MatRun.State.OVER && before.run().state() != MatRun.State.OVER) {
            keepWhatCame(map.id(), after, lesson, by.get());
        }
        return one(map.id(), lesson);
    }

    /** When a press was made: not before the last that was heard, unless the clock has been set back since. */
    private Instant made(Duration ago, Instant since) {
        Instant now = now();
        Instant made = now.minus(ago.compareTo(LONGEST_AGO) > 0 ? LONGEST_AGO : ago);
        Instant last = now.isBefore(since) ? now : since;
        return made.isBefore(last) ? last : made;
    }

    private void keepWhatCame(UUID mapId, MatRun run, UUID lesson, UUID by) {
        List<Lesson.Came> came = WhatCame.of(run);
        if (!came.isEmpty()) {
            lessons.came(mapId, lesson, there(run), came, by);
        }
    }

    /** Everybody who was there for some of it. */
    private static List<UUID> there(MatRun run) {
        return Stream.concat(run.here().stream(), run.gone().stream()).distinct().toList();
    }

    /** A class as every screen is sent it. */
    MatView view(Kept kept) {
        Map<UUID, String> names = people.called(there(kept.run()));
        return new MatViews(kept.map().index(), names).of(kept.lesson(), lessons.lesson(kept.map().id(), kept.lesson()), gyms.current().name(),
                kept.version(), kept.run(), now());
    }

    /** Rings for everything that follows a class. */
    void ring(UUID lesson) {
        bell.ring(new Bell.Ring(RING, GymScope.current().gym(), lesson));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    private static NotFoundException notRunning() {
        return new NotFoundException("This class is not on the mat; put it there from its plan.");
    }
}
