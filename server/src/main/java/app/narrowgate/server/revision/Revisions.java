package app.narrowgate.server.revision;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.revision.UndoState;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/**
 * Revisions as they are stored: which parts end, which begin, and what an undo and a redo would be about from then on.
 * Whatever writes must be called within a transaction in which the map is locked.
 */
@Service
public class Revisions {

    private static final int ROWS_AT_ONCE = 1000;

    private final RevisionMapper mapper;
    private final Clock clock;

    Revisions(RevisionMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** The time that is written down, as exact as the database keeps it. */
    public Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }

    /** The parts as they stood at a revision. */
    public Parts partsAt(UUID map, int revision) {
        return Parts.of(mapper.partsAt(map, revision));
    }

    /** The revision that was the newest so long ago; the first one of a map that is younger. */
    public int ago(UUID map, Duration time) {
        return mapper.lastAt(map, now().minus(time)).orElse(1);
    }

    /** What happened after revision {@code after}, newest first, at most {@code most}. */
    public List<Revision> since(UUID map, int after, int most) {
        return mapper.revisions(map, after, most);
    }

    /** What was done in a revision; empty where there is none. */
    public Optional<String> summary(UUID map, int revision) {
        return mapper.summary(map, revision);
    }

    /** What an undo would take back while {@code revision} is the newest; empty when nothing is left to undo. */
    public Optional<Revision> undoable(UUID map, int revision) {
        return mapper.undoTarget(map, revision);
    }

    /** The undo that a redo would bring back while {@code revision} is the newest. */
    public Optional<Revision> redoable(UUID map, int revision) {
        return mapper.redoTarget(map, revision);
    }

    /** Parts that have been there once, whether they still are or not; what has always been there may be missing. */
    public List<PartKey> onceThere(UUID map) {
        return mapper.everEnded(map);
    }

    /**
     * Entries with ids that the parts of a list have once held in a field.
     *
     * @return keys of the part's id and the entry's
     */
    public List<PartKey> onceWithin(UUID map, String list, String field) {
        return mapper.everWithin(map, list, field);
    }

    /** The first revision of a new map. */
    public void first(UUID map, Parts parts, UUID author, String summary) {
        write(map, new Revision(1, "edit", null, author, null, now(), summary), UndoState.NONE, Parts.NONE.to(parts));
    }

    /** An edit on top of {@code head}. */
    public void edit(UUID map, int head, Parts.Step step, UUID author, String summary) {
        write(map, new Revision(head + 1, "edit", null, author, null, now(), summary), UndoState.edited(head + 1), step);
    }

    /**
     * Takes the last change back, on top of {@code head}.
     *
     * @return what changed
     * @throws RefusedException when nothing is left to undo
     */
    public Parts.Step undo(UUID map, int head, UUID author) {
        Revision target = undoable(map, head)
                .orElseThrow(() -> new RefusedException("There is nothing left to undo."));
        UndoState undo = UndoState.undone(head + 1, undoState(map, target.number() - 1));
        return turnBack(map, head, target, "undo", target.number(), undo, author);
    }

    /**
     * Brings back what was taken back last, on top of {@code head}.
     *
     * @return what changed
     * @throws RefusedException when nothing was taken back
     */
    public Parts.Step redo(UUID map, int head, UUID author) {
        Revision target = redoable(map, head).orElseThrow(() -> new RefusedException("There is nothing to redo."));
        UndoState undo = UndoState.redone(head + 1, undoState(map, target.number() - 1));
        return turnBack(map, head, target, "redo", target.target(), undo, author);
    }

    private UndoState undoState(UUID map, int revision) {
        return mapper.undoState(map, revision).map(UndoRow::state).orElse(UndoState.NONE);
    }

    /** What {@code target} touched goes back to the state before it; for a redo that revision is the undo itself. */
    private Parts.Step turnBack(UUID map, int head, Revision target, String kind, int shown, UndoState undo, UUID author) {
        List<PartKey> touched = mapper.changedIn(map, target.number());
        Parts then = partsAt(map, target.number() - 1);
        List<PartState> begun = touched.stream().map(then::get).filter(Objects::nonNull)
                .map(old -> old.since(head + 1)).toList();
        Parts.Step step = new Parts.Step(begun, touched);
        write(map, new Revision(head + 1, kind, shown, author, null, now(), target.summary()), undo, step);
        return step;
    }

    /**
     * Makes the map as it was at revision {@code to} the newest one, on top of {@code head}; nothing between is lost.
     *
     * @param present the parts at {@code head}
     * @return what changed; nothing is written where nothing does
     */
    public Parts.Step restore(UUID map, int head, Parts present, int to, UUID author) {
        Parts.Step step = present.back(partsAt(map, to), head + 1);
        if (!step.isEmpty()) {
            write(map, new Revision(head + 1, "restore", to, author, null, now(), "Went back to change " + to),
                    UndoState.edited(head + 1), step);
        }
        return step;
    }

    private void write(UUID map, Revision revision, UndoState undo, Parts.Step step) {
        mapper.insertRevision(map, revision, UndoRow.of(undo));
        if (!step.ended().isEmpty()) {
            mapper.endParts(map, step.ended(), revision.number());
        }
        List<PartState> begun = step.begun();
        for (int from = 0; from < begun.size(); from += ROWS_AT_ONCE) {
            mapper.insertParts(map, begun.subList(from, Math.min(begun.size(), from + ROWS_AT_ONCE)));
        }
    }
}
