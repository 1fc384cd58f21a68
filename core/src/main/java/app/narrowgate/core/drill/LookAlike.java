package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.Optional;

/**
 * Two situations that are easily taken for each other and want different answers.
 *
 * @param after the reaction whose responses lead to both; empty where the two are told apart wherever they come up
 * @param one the one whose mixing up costs more
 */
public record LookAlike(Optional<Id> after, Half one, Half other) {

    /**
     * One of the two.
     *
     * @param answer the best reaction there
     * @param chance how often it comes up in a round from the starts, at least 0; above 1 where it comes again
     * @param loss worth in [0,1] that is lost by giving the other one's answer there
     */
    public record Half(Id situation, Id answer, double chance, double loss) {

        /** What it costs a round. */
        public double price() {
            return chance * loss;
        }
    }

    /** Worth that a round loses if the two are always taken for each other. */
    public double price() {
        return one.price() + other.price();
    }
}
