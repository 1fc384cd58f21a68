package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * A called drill from one situation, for a pair of partners.
 *
 * @param links what is drilled, the likeliest first
 * @param repetitions of each link, per side and per role
 * @param blocks both roles on both sides, weak side first; every block has each link {@code repetitions} times
 * @param minutes what it takes in all, spotting left out
 * @param mistakes what people do there and should not, in the map's order
 * @param spotting an order in which the bottom player does right and wrong, and the partner stops at what is wrong:
 *     numbers of links, and from {@code links.size()} on of mistakes; empty where there is no mistake
 */
public record DrillSheet(Id situation, List<DrillLink> links, int repetitions, List<DrillBlock> blocks,
        double minutes, List<Id> mistakes, List<Integer> spotting) {
    public DrillSheet {
        mistakes = List.copyOf(mistakes);
        spotting = List.copyOf(spotting);
        links = List.copyOf(links);
        blocks = List.copyOf(blocks);
    }
}
