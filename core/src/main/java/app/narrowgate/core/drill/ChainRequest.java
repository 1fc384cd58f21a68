package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.LinkRef;
import java.util.HashSet;
import java.util.List;

/**
 * What a chain is asked for.
 *
 * @param links what is practised, each once in the list
 * @param repetitions of each link for each partner, at least
 * @param seed decides which of the equally good walks it is
 */
public record ChainRequest(List<LinkRef> links, int repetitions, long seed) {

    /** More links than this nobody chains. */
    public static final int MOST_LINKS = 200;
    /** Repetitions of a link for each partner. */
    public static final Range REPETITIONS = new Range(1, 200, "repetitions");

    public ChainRequest {
        links = List.copyOf(links);
        REPETITIONS.require("The repetitions", repetitions);
        if (links.isEmpty() || links.size() > MOST_LINKS) {
            throw new RefusedException("%d links; a chain has 1 to %d.".formatted(links.size(), MOST_LINKS));
        }
        if (new HashSet<>(links).size() < links.size()) {
            throw new RefusedException("A link stands twice in the chain; leave it once and ask for more repetitions.");
        }
    }
}
