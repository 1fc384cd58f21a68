package app.narrowgate.core.odds;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import java.util.Map;
import java.util.Optional;

/**
 * Figures of which some reactions get going otherwise; the rest stays.
 *
 * @param works reaction to the chance in [0,1] that it gets going
 */
record OtherWorks(Rates before, Map<Id, Double> works) implements Rates {

    @Override
    public double works(Reaction reaction) {
        return Optional.ofNullable(works.get(reaction.id())).orElseGet(() -> before.works(reaction));
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
