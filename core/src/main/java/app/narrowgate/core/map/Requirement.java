package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** What a hold needs: single needs joined by "all of" and "any of". */
public sealed interface Requirement {

    /** Deeper trees are refused; no hold on the mat is that involved. */
    int MOST_DEPTH = 8;

    /** More ways to deny one hold are refused; nobody on the mat could choose among them. */
    int MOST_WAYS = 1_000;

    /**
     * A single thing that must be true.
     *
     * @param work how hard it is to deny while it is being built, 1 for easy to 5 for hardly possible
     * @param denied the reactions that take it away
     * @param built when and how surely they get it
     * @param sign how the bottom player sees or feels it; may be empty
     * @param openings what they do wrong in building it, and what that leaves you
     */
    record Need(Id id, String title, double work, Set<Id> denied, Built built, String sign, List<Opening> openings)
            implements Requirement {

        /** Work of a denial. */
        public static final Range WORK = new Range(1, 5, "");

        public Need {
            Text.TITLE.require("A need's title", title);
            WORK.require("The work of denying it", work);
            denied = Set.copyOf(denied);
            Text.SENTENCE.require("How it is seen or felt", sign);
            openings = List.copyOf(openings);
        }

        /** A need of which nothing is said but who denies it. */
        public static Need of(Id id, String title, double work, Set<Id> denied) {
            return new Need(id, title, work, denied, Built.UNSAID, "", List.of());
        }

        /** The same need, denied by other reactions. */
        Need withDenied(Set<Id> others) {
            return new Need(id, title, work, others, built, sign, openings);
        }
    }

    /**
     * When a need is met and how surely.
     *
     * @param stage the stage at which it is built; empty while nobody has said it
     * @param likely how likely they get it when they go for it and nobody denies it; empty while nobody has said it
     * @param seenFrom the same as seen from a stage, where it differs. From the stages after its own it counts as met
     *     unless it stands here
     */
    record Built(Optional<Stage> stage, Optional<Likelihood> likely, Map<Stage, Likelihood> seenFrom) {

        /** Nothing is said. */
        public static final Built UNSAID = new Built(Optional.empty(), Optional.empty(), Map.of());

        public Built {
            likely.ifPresent(word -> Range.CHANCE.require("How likely they get it", word.chance()));
            seenFrom.values().forEach(word -> Range.CHANCE.require("How likely they get it", word.chance()));
            seenFrom = Collections.unmodifiableMap(
                    seenFrom.isEmpty() ? new EnumMap<>(Stage.class) : new EnumMap<>(seenFrom));
        }

        /** Chance in [0,1] that it is met in the end, as seen from {@code from}; empty where nobody has said it. */
        public OptionalDouble chance(Stage from) {
            Likelihood said = seenFrom.get(from);
            if (said != null) {
                return OptionalDouble.of(said.chance());
            }
            if (stage.isPresent() && from.compareTo(stage.get()) > 0) {
                return OptionalDouble.of(1);
            }
            return likely.map(word -> OptionalDouble.of(word.chance())).orElse(OptionalDouble.empty());
        }
    }

    /**
     * What they do wrong, and what that leaves you.
     *
     * @param fault what is seen or felt
     * @param leaves what to do with it
     */
    record Opening(String fault, String leaves) {
        public Opening {
            Text.WORDS.require("Their fault", fault);
            Text.WORDS.require("What it leaves you", leaves);
        }
    }

    /** All of the parts must be true. */
    record All(List<Requirement> parts) implements Requirement {
        public All {
            parts = requireSome(parts);
        }
    }

    /** One of the parts is enough. */
    record Any(List<Requirement> parts) implements Requirement {
        public Any {
            parts = requireSome(parts);
        }
    }

    /** Every single need of the tree, in its order. */
    default List<Need> needs() {
        List<Need> needs = new ArrayList<>();
        collect(this, needs);
        return needs;
    }

    /**
     * In how many ways the tree can be denied, those that take more than they must counted with the others: an upper
     * bound of the smallest denials. Stays at {@link Integer#MAX_VALUE} rather than overflow. Time linear in the tree.
     */
    default int ways() {
        if (this instanceof Need) {
            return 1;
        }
        long ways = this instanceof All ? 0 : 1;
        for (Requirement part : this instanceof All all ? all.parts() : ((Any) this).parts()) {
            ways = Math.min(Integer.MAX_VALUE, this instanceof All ? ways + part.ways() : ways * part.ways());
        }
        return (int) ways;
    }

    /** True when exactly the needs of {@code met} are enough. */
    default boolean isMet(Set<Id> met) {
        if (this instanceof Need need) {
            return met.contains(need.id());
        }
        return this instanceof All all ? all.parts().stream().allMatch(part -> part.isMet(met))
                : ((Any) this).parts().stream().anyMatch(part -> part.isMet(met));
    }

    private static void collect(Requirement requirement, List<Need> needs) {
        if (requirement instanceof Need need) {
            needs.add(need);
        } else if (requirement instanceof All all) {
            all.parts().forEach(part -> collect(part, needs));
        } else if (requirement instanceof Any any) {
            any.parts().forEach(part -> collect(part, needs));
        }
    }

    private static List<Requirement> requireSome(List<Requirement> parts) {
        if (parts.isEmpty()) {
            throw new RefusedException("“All of” and “any of” need at least one part.");
        }
        return List.copyOf(parts);
    }
}
