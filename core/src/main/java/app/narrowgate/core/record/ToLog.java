package app.narrowgate.core.record;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.advice.Sensitivities;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Which rounds would tell most: by how much ten more from a place would narrow what the map says of the starts.
 *
 * <p>Method: the variance of the odds is, to first order, the sum over the answers of sensitivity² × variance of how often they get going
 * (the delta method). Ten rounds from a place try each answer as often as the chain says, and a beta that has seen so many more is so much
 * surer. Cost: one adjoint and one chain of a round a place.
 *
 * @param place where they would begin
 * @param now how wide the odds at the starts are now, nine times in ten, to first order
 * @param then how wide after ten more rounds from there
 */
public record ToLog(Id place, double now, double then) {

    /** Rounds that are weighed. */
    public static final int ROUNDS = 10;

    /** Standard deviations on either side that hold nine in ten. */
    private static final double NINE_IN_TEN = 1.6448536269514722;

    /**
     * All places from which rounds would tell something, the one that tells most first.
     *
     * @param likely the map by the means of {@code beliefs}
     */
    public static List<ToLog> of(SolvedMap likely, Beliefs beliefs) {
        List<Sensitivities.OfReaction> reactions = AdjointSensitivity.of(likely).reactions();
        double variance = 0;
        for (Sensitivities.OfReaction one : reactions) {
            variance += square(one.perWorks()) * beliefs.going(reaction(likely, one)).variance();
        }
        double now = width(variance);
        List<ToLog> all = new ArrayList<>();
        for (int s = 0; s < likely.game().situations; s++) {
            Id place = likely.placeId(s);
            double[] visits = likely.chain().visits(likely.startsAt(java.util.Optional.of(place)));
            double left = variance;
            for (Sensitivities.OfReaction one : reactions) {
                Reaction reaction = reaction(likely, one);
                int option = likely.option(reaction).orElseThrow();
                double tries = ROUNDS * visits[likely.place(reaction.from())] * (likely.game().going[option] + likely.game().stuffedShare[option]);
                Beta belief = beliefs.going(reaction);
                double strength = belief.yes() + belief.no() + 1;
                left -= square(one.perWorks()) * belief.variance() * (1 - strength / (strength + tries));
            }
            if (left < variance) {
                all.add(new ToLog(place, now, width(left)));
            }
        }
        all.sort(Comparator.comparingDouble(ToLog::then));
        return all;
    }

    private static Reaction reaction(SolvedMap likely, Sensitivities.OfReaction one) {
        return likely.index().reaction(one.reaction()).orElseThrow();
    }

    private static double width(double variance) {
        return 2 * NINE_IN_TEN * Math.sqrt(Math.max(0, variance));
    }

    private static double square(double value) {
        return value * value;
    }
}
