package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import java.util.Optional;

/**
 * Something that is true, false or open in a situation, such as "their shoulders are forward".
 *
 * @param measured how it follows from a matchup; empty where it does not
 */
public record Fact(Id id, String title, Optional<Measured> measured) implements Part {
    public Fact {
        Text.TITLE.require("A fact's title", title);
    }

    /** A fact that follows from nothing else. */
    public static Fact named(Id id, String title) {
        return new Fact(id, title, Optional.empty());
    }

    /**
     * A fact that holds where a gauge reads at least so much, such as "much heavier" from 25 kg on.
     *
     * @param gauge what is read off the matchup; not how far a technique is above a student, which is no fact of a pair
     * @param from from where on it holds
     */
    public record Measured(RateRule.Gauge gauge, double from) {
        public Measured {
            RateRule.DOSE.require("From where on it holds", from);
            if (gauge == RateRule.Gauge.ABOVE_LEVEL) {
                throw new RefusedException("“above-level” is read off a technique; a fact needs what a pair has.");
            }
        }

        /** Whether it holds for that pair. */
        public boolean holds(Matchup matchup) {
            return gauge.of(matchup) >= from;
        }
    }
}
