package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;
import java.util.Optional;

/**
 * What the top player does about a reaction that is under way.
 *
 * @param cue what the bottom player sees or feels
 * @param often how often, relative to the other responses to the same reaction; a weight above 0
 * @param leads the situation or outcome it leads to; empty while nobody has answered it
 */
public record Response(Id id, String cue, Likelihood often, Optional<Id> leads) {
    public Response {
        Text.WORDS.require("What they do", cue);
        Likelihood.WEIGHT.require("How often (a weight)", often.weight());
    }

    /** The same response, leading elsewhere. */
    public Response leadingTo(Id place) {
        return withLeads(Optional.of(place));
    }

    /** The same response, leading elsewhere or unanswered. */
    Response withLeads(Optional<Id> place) {
        return new Response(id, cue, often, place);
    }
}
