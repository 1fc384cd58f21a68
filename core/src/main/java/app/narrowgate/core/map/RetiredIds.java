package app.narrowgate.core.map;

import java.util.HashSet;
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
        PartKind.ALL.forEach(kind -> map.parts(kind).forEach(part -> paths.add(path(kind, part.id()))));
        map.reactions().forEach(reaction -> reaction.responses().forEach(
                response -> paths.add(path(reaction.id(), response.id()))));
        return paths;
    }

    /** The ids that are retired once {@code before} has become {@code after}. */
    public RetiredIds next(EscapeMap before, EscapeMap after) {
        Set<String> retired = new HashSet<>(paths);
        retired.addAll(inUse(before));
        retired.removeAll(inUse(after));
        return new RetiredIds(retired);
    }

    /**
     * What is new in {@code after} under an id that is retired, there or where another kind shares its ids, in the
     * alphabet's order.
     */
    public Set<String> givenAgain(EscapeMap before, EscapeMap after) {
        Set<String> fresh = inUse(after);
        fresh.removeAll(inUse(before));
        Set<String> again = new TreeSet<>(fresh);
        again.retainAll(paths);
        PartKind.ALL.forEach(kind -> after.parts(kind).stream().map(Part::id)
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
