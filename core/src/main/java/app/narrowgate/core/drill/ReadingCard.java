package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * A cue to be read: what they do or hold, and answers to choose among.
 *
 * @param reaction the right answer, whose trigger is the cue
 * @param choices in the order in which they are shown; one of them is right
 * @param price what a round loses by reading it wrong, the best of the wrong choices given instead
 */
public record ReadingCard(Id situation, Id reaction, List<Choice> choices, double price) {

    /**
     * One answer that may be chosen.
     *
     * @param worth in [0,1] of giving it there; where it is not taught, of waiting
     */
    public record Choice(Id technique, double worth, boolean right) {
    }

    public ReadingCard {
        choices = List.copyOf(choices);
    }
}
