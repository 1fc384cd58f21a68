package app.narrowgate.server.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
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
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

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
    private final Map<UUID, Head> heads = new ConcurrentHashMap<>();

    /** A map's newest state as far as it is known here, with the parts as they are stored. */
    private record Head(StoredMap map, Map<PartKey, PartRow> parts) {
    }

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
        return headOf(row).map();
    }

    private Head headOf(MapRow row) {
        Head known = heads.get(row.id());
        if (known != null && known.map().revision() == row.head()) {
            return known;
        }
        List<PartRow> rows = mapper.partsAt(row.id(), row.head());
        Map<PartKey, PartRow> parts = new LinkedHashMap<>();
        rows.forEach(part -> parts.put(part.key(), part));
        Head loaded = new Head(new StoredMap(row.id(), row.head(), MapIndex.of(MapParts.toMap(rows))), parts);
        heads.put(row.id(), loaded);
        return loaded;
    }

    /** Remembers a state once it is surely stored; putting a large map together from the database takes its time. */
    private void rememberAfterCommit(Head head) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                heads.merge(head.map().id(), head,
                        (known, next) -> known.map().revision() > next.map().revision() ? known : next);
            }
        });
    }

    /** Stores a new map. */
    @Transactional
    public StoredMap create(EscapeMap map, UUID author, String summary) {
        requireSound(map);
        MapRow row = new MapRow(UUID.randomUUID(), map.title(), 1, now(), null, null);
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
        Map<PartKey, PartRow> before = headOf(row).parts();
        EscapeMap changed = base == row.head() ? change.apply(at(row).index().map()) : merged(row, base, before, change);
        requireSound(changed);
        int next = row.head() + 1;
        Map<PartKey, PartRow> after = MapParts.of(changed, next);
        List<PartRow> begun = MapParts.begun(before, after);
        List<PartKey> ended = MapParts.ended(before, after);
        if (begun.isEmpty() && ended.isEmpty()) {
            return at(row);
        }
        store(row, new RevisionRow(next, "edit", null, author.id(), null, now(), summary), begun, ended);
        Map<PartKey, PartRow> parts = new LinkedHashMap<>(before);
        ended.forEach(key -> {
            if (!after.containsKey(key)) {
                parts.remove(key);
            }
        });
        begun.forEach(part -> parts.put(part.key(), part));
        StoredMap stored = new StoredMap(id, next, MapIndex.of(changed));
        rememberAfterCommit(new Head(stored, parts));
        return stored;
    }

    /** A change made on an older revision, brought together with what has happened since. */
    private EscapeMap merged(MapRow row, int base, Map<PartKey, PartRow> head, UnaryOperator<EscapeMap> change) {
        Map<PartKey, PartRow> then = new LinkedHashMap<>();
        mapper.partsAt(row.id(), base).forEach(part -> then.put(part.key(), part));
        Map<PartKey, PartRow> mine = MapParts.of(change.apply(MapParts.toMap(List.copyOf(then.values()))), base);
        Map<PartKey, PartRow> merged = new LinkedHashMap<>(head);
        Set<PartKey> keys = new LinkedHashSet<>(then.keySet());
        keys.addAll(mine.keySet());
        Set<PartKey> touched = new LinkedHashSet<>();
        for (PartKey key : keys) {
            Optional<PartMerge.Merged> part = PartMerge.merge(MapParts.json(then.get(key)), MapParts.json(mine.get(key)),
                    MapParts.json(head.get(key)));
            if (part.isEmpty()) {
                touched.add(key);
            } else if (part.get().node() == null) {
                merged.remove(key);
            } else {
                merged.put(key, new PartRow(key.list(), key.partId(), base, null, 0, part.get().node().toString()));
            }
        }
        if (touched.isEmpty()) {
            try {
                return MapParts.toMap(List.copyOf(merged.values()));
            } catch (ProblemsException e) {
                throw stale(row.id(), base, "What you changed no longer fits what somebody else changed: "
                        + e.problems().get(0).message() + " Nothing was overwritten.", Set.of());
            }
        }
        throw stale(row.id(), base, "Somebody changed the same part while you were editing. Nothing was overwritten. "
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

    /** Makes the map as it was at revision {@code to} the newest one; nothing between is lost. */
    @Transactional
    public StoredMap restore(UUID id, int base, SignedIn author, int to) {
        MapRow row = row(mapper.lock(id), id);
        if (base != row.head()) {
            throw stale(id, base, "The map has changed since you looked. Look at what changed, then try again.", Set.of());
        }
        if (to < 1 || to > row.head()) {
            throw new NotFoundException("The map has no revision %d; the newest is %d.".formatted(to, row.head()));
        }
        Map<PartKey, PartRow> before = headOf(row).parts();
        Map<PartKey, PartRow> then = new LinkedHashMap<>();
        mapper.partsAt(id, to).forEach(part -> then.put(part.key(), part));
        int next = row.head() + 1;
        List<PartRow> begun = then.values().stream()
                .filter(part -> !before.containsKey(part.key()) || !before.get(part.key()).body().equals(part.body()))
                .map(part -> new PartRow(part.list(), part.partId(), next, null, part.position(), part.body())).toList();
        List<PartKey> ended = MapParts.ended(before, then);
        if (begun.isEmpty() && ended.isEmpty()) {
            return at(row);
        }
        store(row, new RevisionRow(next, "restore", to, author.id(), null, now(), "Went back to revision " + to), begun,
                ended);
        return head(id);
    }

    /** A new map that begins as another one is now. */
    @Transactional
    public StoredMap copy(UUID from, String title, SignedIn author) {
        StoredMap source = head(from);
        StoredMap copy = create(source.index().map().titled(title), author.id(),
                "Copied from “%s”".formatted(source.index().map().title()));
        mapper.copied(copy.id(), from);
        return copy;
    }

    /** Puts a map away, or takes it out again. */
    @Transactional
    public void archive(UUID id, boolean away) {
        row(mapper.lock(id), id);
        mapper.archive(id, away ? now() : null);
    }

    /** What differs between two revisions, in the map's words. */
    List<MapDifference.Change> difference(UUID id, int from, int to) {
        return MapDifference.between(at(id, from), at(id, to));
    }

    @Transactional
    VersionRow name(UUID id, int revision, String name, SignedIn author) {
        at(id, revision);
        Text.TITLE.require("The version's name", name.strip());
        VersionRow version = new VersionRow(UUID.randomUUID(), revision, name.strip(), author.id(), author.displayName(),
                now());
        mapper.insertVersion(id, version);
        return version;
    }

    List<VersionRow> versions(UUID id) {
        row(mapper.byId(id), id);
        return mapper.versions(id);
    }

    @Transactional
    void unname(UUID id, UUID version) {
        if (mapper.deleteVersion(id, version) == 0) {
            throw new NotFoundException("There is no such named version; it may have been taken out meanwhile.");
        }
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
