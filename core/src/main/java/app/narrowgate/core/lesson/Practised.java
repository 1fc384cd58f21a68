package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.odds.Rates;
import java.util.Map;

/**
 * Figures after practice: reactions that were practised get going as often as the curve says, the rest stays.
 *
 * @param counted reaction to minutes that count
 */
record Practised(Rates before, Map<Id, Double> counted, LearningCurve curve) implements Rates {

    @Override
    public double works(Reaction reaction) {
        return curve.after(before.works(reaction), counted.getOrDefault(reaction.id(), 0.0));
    }

    @Override
    public double weight(Reaction reaction, Response response) {
        return before.weight(reaction, response);
    }

    @Override
    public double seconds(Reaction reaction) {
        return before.seconds(reaction);
    }

    @Override
    public double seconds(Clock clock) {
        return before.seconds(clock);
    }
}
