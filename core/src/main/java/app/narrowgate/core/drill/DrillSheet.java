package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.List;

/**
 * A called drill from one situation, for a pair of partners.
 *
 * @param links what is drilled, the likeliest first
 * @param repetitions of each link, per side and per role
 * @param blocks both roles on both sides, weak side first; every block has each link {@code repetitions} times
 * @param minutes what it takes in all
 */
public record DrillSheet(Id situation, List<DrillLink> links, int repetitions, List<DrillBlock> blocks,
        double minutes) {
    public DrillSheet {
        links = List.copyOf(links);
        blocks = List.copyOf(blocks);
    }
}
