package app.narrowgate.core.advice;

import app.narrowgate.core.map.Id;
import java.util.List;
import java.util.Map;

/**
 * How much the worth of the starts moves when a rate moves, at the present best choices.
 *
 * @param visits how often each situation is come to in a round, on average; those never come to are missing; in a loop
 *     for ever the chance of coming into it
 * @param reactions the reactions that are chosen somewhere on the way, the most telling first
 */
public record Sensitivities(double start, Map<Id, Double> visits, List<OfReaction> reactions) {

    public Sensitivities {
        visits = Map.copyOf(visits);
        reactions = List.copyOf(reactions);
    }

    /**
     * One reaction.
     *
     * @param visits how often it is tried in a round, on average
     * @param perWorks worth of the starts gained per 1 of the chance that it gets going
     * @param responses one each, in the map's order
     */
    public record OfReaction(Id reaction, double visits, double perWorks, List<OfResponse> responses) {
        public OfReaction {
            responses = List.copyOf(responses);
        }
    }

    /**
     * One response.
     *
     * @param perChance worth of the starts gained per 1 of this response's chance, the others shrinking in proportion
     */
    public record OfResponse(Id response, double perChance) {
    }
}
