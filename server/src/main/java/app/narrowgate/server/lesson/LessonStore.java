package app.narrowgate.server.lesson;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.exchange.lesson.LessonJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.revision.Traces;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps a gym's classes; a stale change is refused. */
@Service
public class LessonStore {

    /** Classes on one map: two a day for seven years. */
    static final int MOST = 5_000;

    private final LessonMapper mapper;
    private final MapStore maps;
    private final Traces traces;
    private final Clock clock;

    LessonStore(LessonMapper mapper, MapStore maps, Traces traces, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.traces = traces;
        this.clock = clock;
    }

    /** Classes of some days, the first first. */
    List<LessonRow> between(UUID mapId, LocalDate from, LocalDate until) {
        return mapper.between(mapId, from, until);
    }

    /** Another word whenever a class was kept, changed, taken out or put back. */
    String state(UUID mapId) {
        return mapper.state(mapId);
    }

    /** Every class that somebody was in, on whatever map. */
    List<LessonRow> with(UUID person) {
        return mapper.with(person.toString());
    }

    /**
     * One class.
     *
     * @throws NotFoundException when there is none of that id
     */
    LessonRow one(UUID mapId, UUID id) {
        return mapper.byId(mapId, id).orElseThrow(LessonStore::gone);
    }

    /**
     * Keeps a new class; sending the same one again, by its id, changes nothing.
     *
     * @throws ConflictException when the id is that of a class on another map, or of one that was removed
     */
    @Transactional
    public LessonRow keep(UUID mapId, UUID id, Lesson lesson, UUID author) {
        maps.requireChangeable(mapId);
        if (mapper.count(mapId) >= MOST) {
            throw new RefusedException("There are %d classes on this map already; remove old ones that nobody looks at.".formatted(MOST));
        }
        mapper.insert(row(mapId, id, 1, lesson, author));
        return mapper.byId(mapId, id)
                .orElseThrow(() -> new ConflictException("The class's id is taken by another one; plan this one under a new id.", Map.of()));
    }

    /**
     * Keeps what a class has become.
     *
     * @param version the state that was on screen
     * @throws ConflictException when somebody has changed it meanwhile
     */
    @Transactional
    public LessonRow change(UUID mapId, UUID id, int version, Lesson lesson, UUID author) {
        maps.requireChangeable(mapId);
        LessonRow there = one(mapId, id);
        if (mapper.update(row(mapId, id, version, lesson, author)) == 0) {
            throw new ConflictException("%s has changed this class meanwhile; look at theirs before you go on.".formatted(there.authorName()),
                    Map.of("version", there.version()));
        }
        return one(mapId, id);
    }

    /** Takes a class out; it can be taken back. */
    @Transactional
    void remove(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        Lesson lesson = one(mapId, id).lesson();
        mapper.remove(mapId, id, clock.instant().truncatedTo(ChronoUnit.MICROS));
        traces.leave(mapId, who, "Removed the class “%s” of %s".formatted(lesson.title(), lesson.day()));
    }

    /** Puts a class back that was taken out. */
    @Transactional
    void restore(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        if (mapper.restore(mapId, id) == 0) {
            throw gone();
        }
        Lesson lesson = one(mapId, id).lesson();
        traces.leave(mapId, who, "Put the class “%s” of %s back".formatted(lesson.title(), lesson.day()));
    }

    private LessonRow row(UUID mapId, UUID id, int version, Lesson lesson, UUID author) {
        return new LessonRow(id, mapId, version, lesson.day(), LessonJson.writeText(lesson), author, null,
                clock.instant().truncatedTo(ChronoUnit.MICROS));
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such class; somebody may have removed it meanwhile.");
    }
}
