package app.narrowgate.core.finish;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Requirement.All;
import app.narrowgate.core.map.Requirement.Any;
import app.narrowgate.core.map.Requirement.Need;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * How likely a requirement tree is met when each of its needs is met with a chance of its own, independently of the others,
 * and how much it hangs on each.
 *
 * <p>Each need stands once in the tree, as {@link app.narrowgate.core.map.MapRules} has it; then parts of a gate have no
 * need in common, are independent, and products are exact. Knowing more of a need (conditioning on it) is putting its
 * chance to 0 or 1. Time linear in the tree for each question.
 */
public final class Chances {

    private final Requirement tree;
    private final Map<Id, Double> met;

    private Chances(Requirement tree, Map<Id, Double> met) {
        this.tree = tree;
        this.met = met;
    }

    /**
     * The chances of {@code tree}.
     *
     * @param met need to the chance in [0,1] that it is met, for every need of the tree
     * @throws RefusedException when a need stands twice, or has no chance, or one that is none
     */
    public static Chances of(Requirement tree, Map<Id, Double> met) {
        Set<Id> seen = new HashSet<>();
        for (Need need : tree.needs()) {
            if (!seen.add(need.id())) {
                throw new RefusedException("The need “%s” stands twice; its chance would count twice.".formatted(need.id()));
            }
            if (!met.containsKey(need.id())) {
                throw new RefusedException("Nobody has said how likely “%s” is.".formatted(need.title()));
            }
            Range.CHANCE.require("How likely “%s” is".formatted(need.title()), met.get(need.id()));
        }
        return new Chances(tree, Map.copyOf(met));
    }

    /** The same where it is known that these needs are met. */
    public Chances given(Collection<Id> needs) {
        return with(needs, 1);
    }

    /** The same where it is known that these needs are gone. */
    public Chances without(Collection<Id> needs) {
        return with(needs, 0);
    }

    private Chances with(Collection<Id> needs, double chance) {
        Map<Id, Double> changed = new HashMap<>(met);
        needs.forEach(need -> changed.put(need, chance));
        return new Chances(tree, changed);
    }

    /** Chance in [0,1] that the whole tree is met: the pin holds, the finish closes. */
    public double closes() {
        return closes(tree);
    }

    private double closes(Requirement part) {
        if (part instanceof Need need) {
            return met.get(need.id());
        }
        double product = 1;
        for (Requirement below : parts(part)) {
            product *= part instanceof All ? closes(below) : 1 - closes(below);
        }
        return part instanceof All ? product : 1 - product;
    }

    /**
     * Birnbaum's importance of a need, in [0,1]: how much more likely the tree is met when the need surely is than when it
     * surely is not (Birnbaum 1969, <i>On the importance of different components in a multicomponent system</i>).
     */
    public double importance(Id need) {
        return given(Set.of(need)).closes() - without(Set.of(need)).closes();
    }

    /**
     * Fussell's and Vesely's importance of a need, in [0,1]: of the times the tree is not met, the share in which a
     * smallest denial that contains the need has come about (Fussell 1975, <i>How to hand-calculate system reliability and
     * safety characteristics</i>). 0 where the tree is always met.
     *
     * <p>The smallest denials of a tree that names each need once contain the need itself and, at every “any of” above it,
     * one of each other part's; so one of them has come about when the need is gone and all those parts are.
     */
    public double shareOfFailures(Id need) {
        double fails = 1 - closes();
        return fails <= 0 ? 0 : Math.min(1, deniedThrough(tree, need) / fails);
    }

    private double deniedThrough(Requirement part, Id need) {
        if (part instanceof Need single) {
            return single.id().equals(need) ? 1 - met.get(need) : 0;
        }
        double through = 0;
        double others = 1;
        for (Requirement below : parts(part)) {
            if (below.needs().stream().anyMatch(n -> n.id().equals(need))) {
                through = deniedThrough(below, need);
            } else {
                others *= part instanceof All ? 1 : 1 - closes(below);
            }
        }
        return through * others;
    }

    private static List<Requirement> parts(Requirement gate) {
        return gate instanceof All all ? all.parts() : ((Any) gate).parts();
    }
}
