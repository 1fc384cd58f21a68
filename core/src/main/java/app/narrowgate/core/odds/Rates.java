package app.narrowgate.core.odds;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import java.util.Map;

/**
 * Where the figures of a map come from, before a matchup shifts them. The compiler asks nothing else, so figures
 * learned from a record, or drawn from what is believed, take the place of the written ones without its knowing.
 */
public interface Rates {

    /** Chance in [0,1] that {@code reaction} gets going against an even partner of the same level. */
    double works(Reaction reaction);

    /** How often {@code response} is given, relative to the other responses to {@code reaction}; above 0. */
    double weight(Reaction reaction, Response response);

    /** Seconds that {@code reaction} takes, at least 0. */
    double seconds(Reaction reaction);

    /** Mean seconds until {@code clock} moves on, above 0. */
    double seconds(Clock clock);

    /**
     * The same, but for some reactions.
     *
     * @param works reaction to the chance in [0,1] that it gets going instead
     */
    default Rates working(Map<Id, Double> works) {
        return new OtherWorks(this, works);
    }

    /** What stands on the map, words turned into numbers by {@link app.narrowgate.core.map.Word}. */
    Rates WRITTEN = new Rates() {
        @Override
        public double works(Reaction reaction) {
            return reaction.works().chance();
        }

        @Override
        public double weight(Reaction reaction, Response response) {
            return response.often().weight();
        }

        @Override
        public double seconds(Reaction reaction) {
            return reaction.seconds();
        }

        @Override
        public double seconds(Clock clock) {
            return clock.seconds();
        }
    };
}
