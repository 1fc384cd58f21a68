package app.narrowgate.server.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.exchange.map.PartJson;
import app.narrowgate.exchange.tree.TreeMerge;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.revision.Conflicts;
import app.narrowgate.server.revision.PartKey;
import app.narrowgate.server.revision.PartState;
import app.narrowgate.server.revision.Parts;
import app.narrowgate.server.revision.Revisions;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Changes of a map. Every change is a revision that stores only the parts it touches. Two edits that touch different
 * parts are merged; an edit of a part that has changed since it was read is refused with what changed.
 */
@Service
public class MapEditing {

    private static final Clash WHILE_EDITING = new Clash(
            "Somebody changed the same part while you were editing. Nothing was overwritten. "
                    + "Look at what changed, then save yours over it or take theirs.",
            "What you changed no longer fits what somebody else changed: ");
    private static final Clash SINCE = new Clash(
            "What was changed then has been changed again since, so it cannot be taken back by itself. "
                    + "Take back what came after it first, or change it by hand.",
            "Without it the map would no longer fit together: ");

    /**
     * What is said where two changes do not go together.
     *
     * @param same where both touched the same thing
     * @param unfit where the whole no longer fits, before the first reason
     */
    private record Clash(String same, String unfit) {
    }

    private final MapStore store;
    private final Revisions revisions;
    private final Conflicts conflicts;

    MapEditing(MapStore store, Revisions revisions, Conflicts conflicts) {
        this.store = store;
        this.revisions = revisions;
        this.conflicts = conflicts;
    }

    /**
     * Changes a map without making new ids, or with those that a file gave to the same parts before.
     *
     * @param base the revision that the change was made on
     * @param summary what was done, for the history
     * @throws ConflictException when a part that the change touches has changed since {@code base}
     * @throws ProblemsException when the parts would no longer fit together
     */
    @Transactional
    public StoredMap edit(UUID id, int base, SignedIn author, String summary, UnaryOperator<EscapeMap> change) {
        return edit(id, base, author, summary, (map, retired) -> change.apply(map));
    }

    /**
     * Puts parts into a map, new ones among them, under ids that the caller has chosen.
     *
     * @throws ConflictException when a part that the change touches has changed since {@code base}
     * @throws ProblemsException when the parts would no longer fit together, or a new one has the id of one that is
     *     gone
     */
    @Transactional
    public StoredMap put(UUID id, int base, SignedIn author, String summary, List<PartJson.Put> parts) {
        return edit(id, base, author, summary, true, WHILE_EDITING, (map, retired) -> {
            EscapeMap changed = PartJson.putAll(map, parts);
            requireNew(map, changed, retired);
            // After the parts: a summary often quotes them, and a fault is better shown where it was typed.
            Text.WORDS.require("The summary", summary);
            return changed;
        });
    }

    private static void requireNew(EscapeMap map, EscapeMap changed, RetiredIds retired) {
        List<Problem> again = retired.givenAgain(map, changed).stream().map(path -> new Problem("/id",
                "“%s” was the id of something that is gone, and what was written down about that keeps it; choose another."
                        .formatted(path))).toList();
        if (!again.isEmpty()) {
            throw new ProblemsException(again);
        }
    }

    /**
     * Changes a map, making new ids.
     *
     * @param base the revision that the change was made on
     * @param summary what was done, for the history
     * @throws ConflictException when a part that the change touches has changed since {@code base}
     * @throws ProblemsException when the parts would no longer fit together
     */
    @Transactional
    public StoredMap edit(UUID id, int base, SignedIn author, String summary, MapChange change) {
        return edit(id, base, author, summary, false, WHILE_EDITING, change);
    }

    /**
     * Takes one change back, whatever has come after it; everything else stays.
     *
     * @param change the revision that it made
     * @throws ConflictException when what it touched has been changed again since
     * @throws RefusedException when there is nothing before it
     */
    @Transactional
    public StoredMap takeBack(UUID id, int change, SignedIn author) {
        store.requireRevision(id, change);
        if (change == 1) {
            throw new RefusedException("There is nothing before the first state of a map; it cannot be taken back.");
        }
        EscapeMap before = MapParts.toMap(revisions.partsAt(id, change - 1));
        String summary = "Took back: " + revisions.summary(id, change).orElseThrow();
        return edit(id, change, author, summary, false, SINCE, (map, retired) -> before);
    }

    /**
     * The same.
     *
     * @param sound whether what {@code change} gives is known to fit together; looking costs as much as all the rest
     * @param clash what is said where something else stands in the way
     */
    private StoredMap edit(UUID id, int base, SignedIn author, String summary, boolean sound, Clash clash, MapChange change) {
        MapRow row = store.lockForChange(id);
        if (base < 1 || base > row.head()) {
            throw new RefusedException(
                    "The change this was based on is %d; it must lie between 1 and %d.".formatted(base, row.head()));
        }
        MapStore.Head head = store.headOf(row);
        UnaryOperator<EscapeMap> made = map -> change.of(map, head.map().retired());
        boolean onHead = base == row.head();
        EscapeMap changed = onHead ? made.apply(head.map().index().map()) : merged(row, base, head.parts(), clash, made);
        if (!sound || !onHead) {
            Soundness.require(changed);
        }
        Parts.Step step = head.parts().to(MapParts.of(changed, row.head() + 1, head));
        if (step.isEmpty()) {
            return head.map();
        }
        revisions.edit(id, row.head(), step, author.id(), summary);
        return store.advance(head.next(step, changed));
    }

    /** A change made on an older revision, brought together with what has happened since. */
    private EscapeMap merged(MapRow row, int base, Parts head, Clash clash, UnaryOperator<EscapeMap> change) {
        Parts then = revisions.partsAt(row.id(), base);
        EscapeMap before = MapParts.toMap(then);
        Parts mine = MapParts.of(change.apply(before), base,
                new MapStore.Head(new StoredMap(row.id(), base, MapIndex.of(before), RetiredIds.NONE), then));
        Map<PartKey, PartState> merged = new LinkedHashMap<>(head.rows());
        Set<PartKey> keys = new LinkedHashSet<>(then.rows().keySet());
        keys.addAll(mine.rows().keySet());
        Set<PartKey> touched = new LinkedHashSet<>();
        for (PartKey key : keys) {
            if (Parts.same(then.get(key), mine.get(key))) {
                continue;
            }
            Optional<TreeMerge.Merged> part = TreeMerge.merge(MapParts.json(then.get(key)), MapParts.json(mine.get(key)),
                    MapParts.json(head.get(key)));
            if (part.isEmpty()) {
                touched.add(key);
            } else if (part.get().node() == null) {
                merged.remove(key);
            } else {
                merged.put(key, place(key, mine, head).withBody(part.get().node().toString()));
            }
        }
        if (touched.isEmpty()) {
            try {
                return MapParts.toMap(new Parts(merged));
            } catch (ProblemsException e) {
                throw conflicts.stale(row.id(), base, clash.unfit() + e.problems().get(0).message() + " Nothing was changed.",
                        Set.of());
            }
        }
        throw conflicts.stale(row.id(), base, clash.same(), touched);
    }

    /** Where a merged part stands: where it already stood, or where the change put it. */
    private static PartState place(PartKey key, Parts mine, Parts head) {
        return head.get(key) != null ? head.get(key) : mine.get(key);
    }
}
