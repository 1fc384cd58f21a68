package app.narrowgate.core.map;

import app.narrowgate.core.check.Text;

/**
 * How a partner holds a place well and safely for the one who practises there. Each may be empty.
 *
 * @param weight where the weight goes, and how much of it
 * @param care where not to press, and what not to do
 * @param gives what to give, so that there is something to answer
 */
public record Feeder(String weight, String care, String gives) {

    /** Nothing is said. */
    public static final Feeder NONE = new Feeder("", "", "");

    public Feeder {
        Text.SENTENCE.require("Where the weight goes", weight);
        Text.SENTENCE.require("What to take care of", care);
        Text.SENTENCE.require("What to give", gives);
    }
}
