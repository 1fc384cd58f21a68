package app.narrowgate.core.review;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.SituationOdds;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What changes between two maps, two matchups or two stances.
 *
 * @param startBefore worth of the starts before
 * @param startAfter and after
 * @param situations what changed, the largest change of worth first
 * @param gone findings that are there no more
 * @param come findings that are new
 */
public record Comparison(double startBefore, double startAfter, List<Change> situations, List<Finding> gone,
        List<Finding> come) {

    private static final double WORTH_SAYING = 5e-4;

    public Comparison {
        situations = List.copyOf(situations);
        gone = List.copyOf(gone);
        come = List.copyOf(come);
    }

    /**
     * One situation. A side on which it does not exist is empty.
     *
     * @param bestBefore the best reaction before, if any
     * @param bestAfter and after
     */
    public record Change(Id situation, OptionalDouble before, OptionalDouble after, Optional<Id> bestBefore,
            Optional<Id> bestAfter) {

        /** Change of worth; a side that is missing counts as 0. */
        public double difference() {
            return after.orElse(0) - before.orElse(0);
        }
    }

    /**
     * Compares two solved maps. Cost linear in both, and in the product of the findings.
     *
     * @param found what a review has found before
     * @param foundAfter and after
     */
    public static Comparison of(SolvedMap before, List<Finding> found, SolvedMap after, List<Finding> foundAfter) {
        Odds one = OddsSolver.of(before);
        Odds other = OddsSolver.of(after);
        return new Comparison(one.start(), other.start(), changes(one, other), missing(found, foundAfter),
                missing(foundAfter, found));
    }

    private static List<Change> changes(Odds one, Odds other) {
        Set<Id> all = new LinkedHashSet<>(one.situations().keySet());
        all.addAll(other.situations().keySet());
        List<Change> changes = new ArrayList<>();
        for (Id id : all) {
            Optional<SituationOdds> before = Optional.ofNullable(one.situations().get(id));
            Optional<SituationOdds> after = Optional.ofNullable(other.situations().get(id));
            Change change = new Change(id, worth(before), worth(after), before.flatMap(SituationOdds::best),
                    after.flatMap(SituationOdds::best));
            if (Math.abs(change.difference()) > WORTH_SAYING || !change.bestBefore().equals(change.bestAfter())
                    || before.isPresent() != after.isPresent()) {
                changes.add(change);
            }
        }
        changes.sort(Comparator.comparingDouble((Change c) -> -Math.abs(c.difference())));
        return changes;
    }

    private static OptionalDouble worth(Optional<SituationOdds> odds) {
        return odds.map(o -> OptionalDouble.of(o.worth())).orElse(OptionalDouble.empty());
    }

    /** The findings of {@code some} that {@code others} do not have; a changed gain is no change. */
    private static List<Finding> missing(List<Finding> some, List<Finding> others) {
        return some.stream().filter(f -> others.stream().noneMatch(o -> o.kind() == f.kind()
                && o.place().equals(f.place()) && o.response().equals(f.response()))).toList();
    }
}
