package app.narrowgate.core.odds;

import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.solve.ForcedSet;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The best kind of end that can be forced from each situation, whatever the top player answers: some way of choosing
 * surely ends there or in a better kind. Says more than odds against a partner who always finds the worst: those are 0
 * wherever nothing of worth can be forced, and between 0 and 1 where chance decides.
 */
final class ForcedEnds {

    private final Optional<PlaceKind>[] best;

    private ForcedEnds(Optional<PlaceKind>[] best) {
        this.best = best;
    }

    /** Cost: one {@link ForcedSet} for each kind of end that the aim gives a worth of its own. */
    static ForcedEnds of(SolvedMap solved) {
        Aim aim = solved.aim();
        PlaceKind[] kinds = solved.kinds();
        @SuppressWarnings({"unchecked", "rawtypes"})
        Optional<PlaceKind>[] best = new Optional[solved.game().situations];
        Arrays.fill(best, Optional.empty());
        // Of kinds that the aim holds equal, the one further from the pin is better.
        List<PlaceKind> falling = Arrays.stream(PlaceKind.values()).filter(kind -> aim.worthOf(kind) > 0)
                .sorted(Comparator.comparingDouble((PlaceKind kind) -> aim.worthOf(kind)).reversed()).toList();
        boolean[] wanted = new boolean[kinds.length];
        for (PlaceKind kind : falling) {
            for (int place = 0; place < kinds.length; place++) {
                wanted[place] |= kinds[place] == kind;
            }
            boolean[] forced = ForcedSet.of(solved.game(), wanted);
            for (int s = 0; s < best.length; s++) {
                if (forced[s] && best[s].isEmpty()) {
                    best[s] = Optional.of(kind);
                }
            }
        }
        return new ForcedEnds(best);
    }

    /** The best kind that can be forced from situation {@code s}; empty where nothing of worth can. */
    Optional<PlaceKind> at(int s) {
        return best[s];
    }
}
