package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.AgeGroup;
import java.util.List;
import java.util.Optional;

/**
 * One documented way in which a matchup shifts a rate. The dose is {@code min(most, max(0, gauge - above))}; the effect
 * is {@code amount} times the dose.
 *
 * @param gauge what is read off the matchup
 * @param above the gauge counts only above this
 * @param most the dose never exceeds this
 * @param target techniques that lean on this; empty for all
 * @param effect what is shifted
 * @param amount shift per unit of dose
 * @param reason why, in the trade's words
 * @param source where the figure comes from; the project's own estimates say so
 */
public record RateRule(Id id, String title, Gauge gauge, double above, double most, Optional<Lean> target,
        Effect effect, double amount, String reason, String source) implements Part {

    /** Thresholds and caps. */
    public static final Range DOSE = new Range(0, 200, "");
    /** Shifts per unit. */
    public static final Range AMOUNT = new Range(-10, 10, "");
    /** The source of a figure that nobody has measured. */
    public static final String ESTIMATE = "the project's own estimate";

    /** What is read off a matchup; all are 0 for an even pair. */
    public enum Gauge implements Coded {
        /** Kilograms by which they are heavier. */
        THEY_HEAVIER,
        /** Kilograms by which you are heavier. */
        YOU_HEAVIER,
        /** Centimetres by which they are taller. */
        THEY_TALLER,
        /** Centimetres by which you are taller. */
        YOU_TALLER,
        /** 1 with a jacket. */
        JACKET,
        /** 1 without a jacket. */
        NO_JACKET,
        /** 1 in self-protection. */
        SELF_PROTECTION,
        /** 1 for children. */
        CHILDREN,
        /** Levels by which the technique is above the student. */
        ABOVE_LEVEL;

        /** What it reads off a pair; what is read off a technique, too, is not told by a pair alone. */
        double of(Matchup m) {
            return switch (this) {
                case THEY_HEAVIER -> m.weightGap();
                case YOU_HEAVIER -> -m.weightGap();
                case THEY_TALLER -> m.heightGap();
                case YOU_TALLER -> -m.heightGap();
                case JACKET -> m.jacket() ? 1 : 0;
                case NO_JACKET -> m.jacket() ? 0 : 1;
                case SELF_PROTECTION -> m.setting() == Occasion.SELF_PROTECTION ? 1 : 0;
                case CHILDREN -> m.age() == AgeGroup.CHILDREN ? 1 : 0;
                case ABOVE_LEVEL -> throw new IllegalStateException("Impossible state: a level without a technique");
            };
        }
    }

    /** What a rule shifts. */
    public enum Effect implements Coded {
        /** Adds to the log odds of getting going. */
        WORKS,
        /** Adds to the logarithm of the seconds it takes. */
        SECONDS,
        /** Closes the reaction when the dose is above 0. */
        CLOSES
    }

    public RateRule {
        Text.TITLE.require("A rule's title", title);
        DOSE.require("The threshold", above);
        DOSE.require("The cap", most);
        AMOUNT.require("The amount", amount);
        Text.WORDS.require("The reason", reason);
        Text.WORDS.require("The source", source);
    }

    /** The dose for a matchup and a technique, at least 0. */
    public double dose(Matchup matchup, Technique technique) {
        return Math.min(most, Math.max(0, read(matchup, technique) - above));
    }

    private double read(Matchup m, Technique technique) {
        return gauge == Gauge.ABOVE_LEVEL ? Math.max(0, technique.level().ordinal() - m.level().ordinal()) : gauge.of(m);
    }

    /** True when the rule is about this technique at all. */
    public boolean concerns(Technique technique) {
        return target.map(technique.leansOn()::contains).orElse(true);
    }

    /** The table that a map without rules of its own uses. Every figure in it is the project's own estimate. */
    public static final List<RateRule> USUAL = List.of(
            rule("heavier-strength", "Much to move", Gauge.THEY_HEAVIER, 5, 60, Lean.STRENGTH, Effect.WORKS, -0.07,
                    "A bridge or a lift has to move all of them."),
            rule("heavier-all", "A heavier pin", Gauge.THEY_HEAVIER, 10, 60, null, Effect.WORKS, -0.02,
                    "Everything is harder under more weight."),
            rule("heavier-space", "Weight closes the room", Gauge.THEY_HEAVIER, 15, 60, Lean.SPACE, Effect.SECONDS,
                    0.006, "Room has to be made before it can be used."),
            rule("lighter-strength", "Less to move", Gauge.YOU_HEAVIER, 5, 40, Lean.STRENGTH, Effect.WORKS, 0.03,
                    "Strength answers carry a lighter partner."),
            rule("taller-length", "Their longer levers", Gauge.THEY_TALLER, 5, 30, Lean.LENGTH, Effect.WORKS, -0.03,
                    "Legs that have to reach round a longer trunk lock later."),
            rule("shorter-length", "Your longer levers", Gauge.YOU_TALLER, 5, 30, Lean.LENGTH, Effect.WORKS, 0.02,
                    "Long legs close a frame or a lock sooner."),
            rule("jacket-speed", "Cloth slows", Gauge.JACKET, 0, 1, Lean.SPEED, Effect.WORKS, -0.4,
                    "Friction and grips hold on to a limb that would slip out bare."),
            rule("no-jacket", "No cloth, no grip", Gauge.NO_JACKET, 0, 1, Lean.JACKET, Effect.CLOSES, 1,
                    "The grip it hangs on is not there."),
            rule("hard-ground", "Hard ground", Gauge.SELF_PROTECTION, 0, 1, Lean.FLEXIBILITY, Effect.WORKS, -0.6,
                    "Rolling over the neck on hard ground hurts, and there may be more of them."),
            rule("children-strength", "Small bodies", Gauge.CHILDREN, 0, 1, Lean.STRENGTH, Effect.WORKS, -0.3,
                    "Children bridge each other badly before they have drilled it alone."),
            rule("above-level", "Not yet taught", Gauge.ABOVE_LEVEL, 0, 2, null, Effect.WORKS, -0.7,
                    "What is above the student's level gets going less often."),
            rule("above-level-slow", "Slower at first", Gauge.ABOVE_LEVEL, 0, 2, null, Effect.SECONDS, 0.2,
                    "What is above the student's level takes longer."));

    private static RateRule rule(String id, String title, Gauge gauge, double above, double most, Lean lean,
            Effect effect, double amount, String reason) {
        return new RateRule(Id.of(id), title, gauge, above, most, Optional.ofNullable(lean), effect, amount, reason,
                ESTIMATE);
    }
}
