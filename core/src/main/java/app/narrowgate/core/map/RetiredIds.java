package app.narrowgate.core.map;

import java.util.Collections;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;

/**
 * Ids that belonged to something which is not on the map any more. What was counted and written down about it is kept
 * by its id, so that none of these is ever given to something else. The same part brought back has its own id again.
 *
 * @param paths {@code list/id} for a part, {@code reactions/id/id} for a response of a reaction
 */
public record RetiredIds(Set<String> paths) {

    /** None yet. */
    public static final RetiredIds NONE = new RetiredIds(Set.of());

    public RetiredIds {
        paths = Set.copyOf(paths);
    }

    /** The path of a part. */
    public static String path(PartKind<?> kind, Id id) {
        return kind.list() + "/" + id;
    }

    /** The path of a response. */
    public static String path(Id reaction, Id response) {
        return path(PartKind.REACTIONS, reaction) + "/" + response;
    }

    /** Every path that is in use on a map. Time linear in the map. */
    public static Set<String> inUse(EscapeMap map) {
        Set<String> paths = new LinkedHashSet<>();
        PartKind.ALL.forEach(kind -> map.parts(kind).forEach(part -> add(kind, part, paths)));
        return paths;
    }

    /**
     * The paths in use on {@code map} by parts that are not on {@code other} as the very same objects. Of two maps of
     * which one came of the other, few.
     */
    private static Set<String> inUseBeside(EscapeMap map, EscapeMap other) {
        Set<String> paths = new LinkedHashSet<>();
        for (PartKind<?> kind : PartKind.ALL) {
            if (map.parts(kind) != other.parts(kind)) {
                Set<Part> there = Collections.newSetFromMap(new IdentityHashMap<>());
                there.addAll(other.parts(kind));
                map.parts(kind).stream().filter(part -> !there.contains(part)).forEach(part -> add(kind, part, paths));
            }
        }
        return paths;
    }

    private static void add(PartKind<?> kind, Part part, Set<String> paths) {
        paths.add(path(kind, part.id()));
        if (part instanceof Reaction reaction) {
            reaction.responses().forEach(response -> paths.add(path(reaction.id(), response.id())));
        }
    }

    /** The ids that are retired once {@code before} has become {@code after}. */
    public RetiredIds next(EscapeMap before, EscapeMap after) {
        Set<String> gone = inUseBeside(before, after);
        Set<String> there = inUseBeside(after, before);
        if (there.containsAll(gone) && Collections.disjoint(there, paths)) {
            return this;
        }
        Set<String> retired = new HashSet<>(paths);
        retired.addAll(gone);
        retired.removeAll(there);
        return new RetiredIds(retired);
    }

    /**
     * What is new in {@code after} under an id that is retired, there or where another kind shares its ids, in the
     * alphabet's order.
     */
    public Set<String> givenAgain(EscapeMap before, EscapeMap after) {
        Set<String> fresh = inUseBeside(after, before);
        fresh.removeAll(inUseBeside(before, after));
        Set<String> again = new TreeSet<>(fresh);
        again.retainAll(paths);
        PartKind.ALL.stream().filter(kind -> !fresh.isEmpty()).forEach(kind -> after.parts(kind).stream().map(Part::id)
                .filter(id -> fresh.contains(path(kind, id)) && isRetired(kind, id))
                .forEach(id -> again.add(path(kind, id))));
        return again;
    }

    private boolean isRetired(PartKind<?> kind, Id id) {
        return kind.sharingIds().stream().anyMatch(other -> paths.contains(path(other, id)));
    }

    /** An id close to {@code words} for a new part, which is not {@code inUse} and which none of its kind ever had. */
    public Id free(String words, PartKind<?> kind, Predicate<Id> inUse) {
        return Id.free(words, inUse.or(id -> isRetired(kind, id)));
    }

    /** An id close to {@code words} for a new response, which none of that reaction has or ever had. */
    public Id free(String words, Reaction reaction) {
        return Id.free(words, id -> !isFree(id, reaction));
    }

    /** True for an id that no response of that reaction has or ever had. */
    public boolean isFree(Id response, Reaction reaction) {
        return !paths.contains(path(reaction.id(), response)) && reaction.response(response).isEmpty();
    }
}
