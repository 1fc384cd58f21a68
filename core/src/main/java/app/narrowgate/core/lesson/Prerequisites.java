package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import java.util.ArrayDeque;
import java.util.Collection;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Which reaction must be there before another makes sense: one without which nobody comes to where the other starts, whatever both
 * do. These are the reactions that dominate it in the map's graph (Prosser 1959); of several the last one on the way counts, so every reaction has
 * at most one and they make a forest. Found by leaving each out and looking what is still reached: O(reactions · map).
 */
public final class Prerequisites {

    private final MapIndex index;
    private final Set<Id> begins;

    private Prerequisites(MapIndex index, Set<Id> begins) {
        this.index = index;
        this.begins = begins;
    }

    /**
     * For each of {@code asked} the nearest of the others that it needs; those that need none are missing.
     *
     * @param begins situations that rounds begin in
     */
    public static Map<Id, Id> among(MapIndex index, Set<Id> begins, Collection<Id> asked) {
        Prerequisites looking = new Prerequisites(index, begins);
        Map<Id, Set<Id>> needed = new LinkedHashMap<>();
        asked.forEach(id -> needed.put(id, new HashSet<>()));
        Set<Id> all = looking.reached(Optional.empty());
        for (Id without : asked) {
            Set<Id> reached = looking.reached(Optional.of(without));
            for (Id other : asked) {
                Id start = index.reaction(other).orElseThrow().from();
                if (!other.equals(without) && all.contains(start) && !reached.contains(start)) {
                    needed.get(other).add(without);
                }
            }
        }
        Map<Id, Id> nearest = new LinkedHashMap<>();
        needed.forEach((id, those) -> those.stream()
                .max(Comparator.comparingInt((Id one) -> needed.get(one).size()).thenComparing(Comparator.reverseOrder()))
                .ifPresent(one -> nearest.put(id, one)));
        return nearest;
    }

    private Set<Id> reached(Optional<Id> without) {
        Set<Id> reached = new HashSet<>(begins);
        Deque<Id> open = new ArrayDeque<>(begins);
        while (!open.isEmpty()) {
            Id at = open.pop();
            Optional<Situation> here = index.situation(at);
            if (here.isEmpty()) {
                continue;
            }
            here.get().clock().map(Clock::becomes).ifPresent(next -> visit(next, reached, open));
            here.get().feeds().forEach(next -> visit(next, reached, open));
            for (Reaction reaction : index.reactionsFrom(at)) {
                if (without.filter(reaction.id()::equals).isEmpty()) {
                    visit(reaction.whenStuffed(), reached, open);
                    reaction.responses().stream().map(Response::leads).flatMap(Optional::stream).forEach(next -> visit(next, reached, open));
                }
            }
        }
        return reached;
    }

    private static void visit(Id place, Set<Id> reached, Deque<Id> open) {
        if (reached.add(place)) {
            open.push(place);
        }
    }
}
