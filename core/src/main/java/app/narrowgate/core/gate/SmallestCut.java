package app.narrowgate.core.gate;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * The smallest set of reactions whose loss drops the starts' worth below a threshold.
 *
 * @param reactions the set; empty when the worth is below the threshold already, or no set was found
 * @param startWithout worth of the starts without them
 * @param found whether a set was found at all
 * @param atLeast no set smaller than this does it
 * @param exact whether it is proved that no smaller set does it; where none was found, that there is none at all
 */
public record SmallestCut(double threshold, List<Id> reactions, double startWithout, boolean found, int atLeast,
        boolean exact) {
    public SmallestCut {
        reactions = List.copyOf(reactions);
    }
}
