package app.narrowgate.server.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.MapRules;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Maps and their history. Every change is a revision that stores only the parts it touches; any revision can be put
 * together again, so undo is never a loss. Two edits that touch different parts are merged; an edit of a part that has
 * changed since it was read is refused with what changed.
 */
@Service
public class MapStore {

    private static final int ROWS_AT_ONCE = 1000;
    private static final int ALL = Integer.MAX_VALUE;

    private final MapMapper mapper;
    private final Clock clock;
    private final Map<UUID, StoredMap> heads = new ConcurrentHashMap<>();

    MapStore(MapMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** True while there is no map. */
    public boolean isEmpty() {
        return mapper.all().isEmpty();
    }

    List<MapRow> all() {
        return mapper.all();
    }

    /**
     * The map's newest revision, from memory when nothing changed.
     *
     * @throws NotFoundException when there is no such map
     */
    public StoredMap head(UUID id) {
        return at(row(mapper.byId(id), id));
    }

    /**
     * The map as it was at a revision.
     *
     * @throws NotFoundException when there is no such map or revision
     */
    public StoredMap at(UUID id, int revision) {
        MapRow row = row(mapper.byId(id), id);
        if (revision == row.head()) {
            return at(row);
        }
        if (revision < 1 || revision > row.head()) {
            throw new NotFoundException("The map has no revision %d; the newest is %d.".formatted(revision, row.head()));
        }
        return new StoredMap(id, revision, MapIndex.of(MapParts.toMap(mapper.partsAt(id, revision))));
    }

    private StoredMap at(MapRow row) {
        StoredMap known = heads.get(row.id());
        if (known != null && known.revision() == row.head()) {
            return known;
        }
        StoredMap loaded = new StoredMap(row.id(), row.head(),
                MapIndex.of(MapParts.toMap(mapper.partsAt(row.id(), row.head()))));
        heads.put(row.id(), loaded);
        return loaded;
    }

    /** Stores a new map. */
    @Transactional
    public StoredMap create(EscapeMap map, UUID author, String summary) {
        requireSound(map);
        MapRow row = new MapRow(UUID.randomUUID(), map.title(), 1, now());
        mapper.insert(row);
        mapper.insertRevision(row.id(), new RevisionRow(1, "edit", null, author, null, now(), summary));
        insert(row.id(), MapParts.begun(Map.of(), MapParts.of(map, 1)));
        return new StoredMap(row.id(), 1, MapIndex.of(map));
    }

    /**
     * Changes a map.
     *
     * @param base the revision that the change was made on
     * @param summary what was done, for the history
     * @throws ConflictException when a part that the change touches has changed since {@code base}
     * @throws ProblemsException when the parts would no longer fit together
     */
    @Transactional
    public StoredMap edit(UUID id, int base, SignedIn author, String summary, UnaryOperator<EscapeMap> change) {
        MapRow row = row(mapper.lock(id), id);
        if (base < 1 || base > row.head()) {
            throw new IllegalArgumentException(
                    "The revision is %d; it must lie between 1 and %d.".formatted(base, row.head()));
        }
        Map<PartKey, PartRow> before = present(row);
        EscapeMap changed = change.apply(at(row).index().map());
        requireSound(changed);
        int next = row.head() + 1;
        Map<PartKey, PartRow> after = MapParts.of(changed, next);
        List<PartRow> begun = MapParts.begun(before, after);
        List<PartKey> ended = MapParts.ended(before, after);
        if (begun.isEmpty() && ended.isEmpty()) {
            return at(row);
        }
        refuseIfStale(id, base, begun, ended);
        store(row, new RevisionRow(next, "edit", null, author.id(), null, now(), summary), begun, ended);
        return new StoredMap(id, next, MapIndex.of(changed));
    }

    private Map<PartKey, PartRow> present(MapRow row) {
        Map<PartKey, PartRow> present = new LinkedHashMap<>();
        mapper.partsAt(row.id(), row.head()).forEach(part -> present.put(part.key(), part));
        return present;
    }

    private void refuseIfStale(UUID id, int base, List<PartRow> begun, List<PartKey> ended) {
        Set<PartKey> touched = new HashSet<>(ended);
        begun.forEach(part -> touched.add(part.key()));
        touched.retainAll(new HashSet<>(mapper.changedAfter(id, base)));
        if (touched.isEmpty()) {
            return;
        }
        throw stale(id, base, "Somebody changed the same part while you were editing. Nothing was overwritten. "
                + "Look at what changed, then save yours over it or take theirs.", touched);
    }

    private ConflictException stale(UUID id, int base, String message, Set<PartKey> touched) {
        List<RevisionView> since = mapper.revisions(id, base, 20).stream().map(RevisionView::of).toList();
        return new ConflictException(message, Map.of("changed", since, "parts",
                touched.stream().map(key -> key.list() + "/" + key.partId()).sorted().toList()));
    }

    private void store(MapRow row, RevisionRow revision, List<PartRow> begun, List<PartKey> ended) {
        mapper.insertRevision(row.id(), revision);
        if (!ended.isEmpty()) {
            mapper.endParts(row.id(), ended, revision.number());
        }
        insert(row.id(), begun);
        String title = begun.stream().filter(part -> part.list().equals(MapParts.HEAD))
                .findFirst().map(part -> MapParts.titleOf(part)).orElse(row.title());
        mapper.advance(row.id(), revision.number(), title);
    }

    private void insert(UUID id, List<PartRow> rows) {
        for (int from = 0; from < rows.size(); from += ROWS_AT_ONCE) {
            mapper.insertParts(id, rows.subList(from, Math.min(rows.size(), from + ROWS_AT_ONCE)));
        }
    }

    /** Newest first, at most {@code most}. */
    List<RevisionRow> history(UUID id, int most) {
        row(mapper.byId(id), id);
        return mapper.revisions(id, 0, most);
    }

    /** What an undo would take back; empty when only the first revision is left. */
    Optional<RevisionRow> undoable(UUID id) {
        return Undo.target(mapper.revisions(id, 1, ALL));
    }

    /** What a redo would bring back. */
    Optional<RevisionRow> redoable(UUID id) {
        return Undo.redoTarget(mapper.revisions(id, 1, ALL));
    }

    /** Takes the last change back. */
    @Transactional
    public StoredMap undo(UUID id, int base, SignedIn author) {
        return turnBack(id, base, author, "undo");
    }

    /** Brings back what was taken back last. */
    @Transactional
    public StoredMap redo(UUID id, int base, SignedIn author) {
        return turnBack(id, base, author, "redo");
    }

    private StoredMap turnBack(UUID id, int base, SignedIn author, String kind) {
        MapRow row = row(mapper.lock(id), id);
        if (base != row.head()) {
            throw stale(id, base, "The map has changed since you looked. Look at what changed, then try again.", Set.of());
        }
        boolean undo = kind.equals("undo");
        RevisionRow target = (undo ? undoable(id) : redoable(id)).orElseThrow(() -> new IllegalArgumentException(
                undo ? "There is nothing left to undo." : "There is nothing to redo."));
        int next = row.head() + 1;
        // What a revision touched goes back to the state before it; for a redo that revision is the undo itself.
        List<PartKey> touched = mapper.changedIn(id, target.number());
        Map<PartKey, PartRow> then = new LinkedHashMap<>();
        mapper.partsAt(id, target.number() - 1).forEach(part -> then.put(part.key(), part));
        List<PartRow> begun = new ArrayList<>();
        for (PartKey key : touched) {
            PartRow old = then.get(key);
            if (old != null) {
                begun.add(new PartRow(old.list(), old.partId(), next, null, old.position(), old.body()));
            }
        }
        int shown = undo ? target.number() : target.target();
        store(row, new RevisionRow(next, kind, shown, author.id(), null, now(), target.summary()), begun, touched);
        return head(id);
    }

    private static void requireSound(EscapeMap map) {
        List<Problem> problems = MapRules.problems(map);
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems);
        }
    }

    private static MapRow row(Optional<MapRow> row, UUID id) {
        return row.orElseThrow(() -> new NotFoundException("There is no map with the id " + id + "."));
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
