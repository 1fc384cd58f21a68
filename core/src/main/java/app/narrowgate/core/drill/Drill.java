package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A drill as a coach designs it: what is practised and how, for any pair; {@link DrillPlanner} turns it into steps for one.
 *
 * @param place where it begins; needed by the kinds that have no links
 * @param opening links that are the same at the beginning of every turn, in order
 * @param links what is practised: in a round pattern the recoveries, in a called drill the calls
 * @param finishes links that end a turn
 * @param extension finishes for those who know them: experienced pairs only
 * @param fakes words for what the feeder begins and takes back
 * @param least recoveries in a turn, at least
 * @param most recoveries in a turn, at most
 * @param repetitions of each link for each partner, at least
 * @param minutes for the whole drill
 * @param sides which sides are practised, the first one first
 * @param words what the feeder shouts for a link; others are taken from the map
 * @param note what else the coach wants to say
 */
public record Drill(String title, DrillKind kind, Optional<Id> place, List<LinkRef> opening, List<LinkRef> links,
        List<LinkRef> finishes, List<LinkRef> extension, List<String> fakes, int least, int most, int repetitions,
        double minutes, List<Side> sides, Map<LinkRef, String> words, String note, long seed) {

    /** Minutes a drill may last. */
    public static final Range MINUTES = new Range(1, 60, "minutes");
    /** Links that a drill may have. */
    public static final int MOST_LINKS = 60;
    /** Seeds of the order of calls. */
    public static final Range SEED = new Range(0, 999_999, "");

    public Drill {
        Text.TITLE.require("A drill's title", title);
        Text.SENTENCE.require("A drill's note", note);
        MINUTES.require("The time", minutes);
        SEED.require("The order of calls", seed);
        ChainRequest.REPETITIONS.require("The repetitions", repetitions);
        RoundRequest.RECOVERIES.require("The least number of recoveries", least);
        RoundRequest.RECOVERIES.require("The most recoveries", most);
        RoundRequest.FAKES.require("The fakes", fakes.size());
        if (most < least) {
            throw new RefusedException("%d to %d recoveries: the first number is the smaller one.".formatted(least, most));
        }
        opening = List.copyOf(opening);
        links = List.copyOf(links);
        finishes = List.copyOf(finishes);
        extension = List.copyOf(extension);
        fakes = List.copyOf(fakes);
        sides = List.copyOf(sides);
        words = Collections.unmodifiableMap(new LinkedHashMap<>(words));
        fakes.forEach(word -> Text.TITLE.require("A fake's word", word));
        words.values().forEach(word -> Text.TITLE.require("A word to shout", word));
        if (sides.isEmpty() || new HashSet<>(sides).size() < sides.size()) {
            throw new RefusedException("A drill has a left side, a right side or both, each once.");
        }
        requireFew("opening", opening);
        requireFew("links", links);
        requireFew("finishes", finishes);
        requireFew("extension", extension);
        if (needsPlace(kind) && place.isEmpty()) {
            throw new RefusedException("This kind of drill begins in a place; say which.");
        }
        if (!needsPlace(kind) && kind != DrillKind.SOLO && links.isEmpty()) {
            throw new RefusedException("There is nothing to practise yet; choose at least one link.");
        }
    }

    private static void requireFew(String what, List<LinkRef> links) {
        if (links.size() > MOST_LINKS || new HashSet<>(links).size() < links.size()) {
            throw new RefusedException("A link stands once in a drill's %s, and there are %d at most.".formatted(what, MOST_LINKS));
        }
    }

    /** True for the kinds that begin in a place and are left to the pair. */
    static boolean needsPlace(DrillKind kind) {
        return switch (kind) {
            case STAGED, DIAL, DISCOVERY, LIVE, UNTIL_OUT -> true;
            default -> false;
        };
    }

    /** Links of a called drill for a pair of any level, eight minutes on both sides. */
    public static Drill called(String title, List<LinkRef> links) {
        return of(title, DrillKind.CALLED, Optional.empty(), links);
    }

    /** A drill of a kind, with what is usual for the rest. */
    public static Drill of(String title, DrillKind kind, Optional<Id> place, List<LinkRef> links) {
        return new Drill(title, kind, place, List.of(), links, List.of(), List.of(), List.of(), 3, 5, 2, 8,
                List.of(Side.LEFT, Side.RIGHT), Map.of(), "", 1);
    }

    /** The same with other links and finishes. */
    Drill with(List<LinkRef> otherOpening, List<LinkRef> otherLinks, List<LinkRef> otherFinishes) {
        return new Drill(title, kind, place, otherOpening, otherLinks, otherFinishes, extension, fakes, least, most, repetitions,
                minutes, sides, words, note, seed);
    }

    /** The same for so many minutes. */
    public Drill lasting(double otherMinutes) {
        return new Drill(title, kind, place, opening, links, finishes, extension, fakes, least, most, repetitions,
                otherMinutes, sides, words, note, seed);
    }

    /** Every link that it names, each once, in order. */
    public List<LinkRef> allLinks() {
        Set<LinkRef> all = new LinkedHashSet<>(opening);
        all.addAll(links);
        all.addAll(finishes);
        all.addAll(extension);
        return new ArrayList<>(all);
    }
}
