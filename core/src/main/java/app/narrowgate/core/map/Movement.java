package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.Injury;
import java.util.List;
import java.util.Set;

/**
 * A solo body skill shared by many techniques.
 *
 * @param alsoCalled other names that somebody may type
 * @param uses segments of which at least one must be free to do it; empty where none in particular
 * @param risks what it can hurt
 * @param steps how it is done, in order
 * @param faults what goes wrong, how it feels, and the mend
 * @param bothSides whether it has a left and a right that are practised alike
 * @param repetitions how many a side make one round alone; 0 while nobody has said
 */
public record Movement(Id id, String title, List<String> alsoCalled, Set<Segment> uses, Set<Injury> risks,
        List<String> steps, List<Technique.Fault> faults, boolean bothSides, int repetitions) implements Part {

    /** Repetitions a side. */
    public static final Range REPETITIONS = new Range(0, 100, "repetitions");
    /** More steps than this are two movements. */
    public static final int MOST_STEPS = 12;

    public Movement {
        Text.TITLE.require("A movement's title", title);
        REPETITIONS.require("How many a side", repetitions);
        alsoCalled = PlaceNotes.names(alsoCalled);
        uses = Set.copyOf(uses);
        risks = Set.copyOf(risks);
        steps = List.copyOf(steps);
        steps.forEach(step -> Text.WORDS.require("A step", step));
        faults = List.copyOf(faults);
    }

    /** A movement of which only the name is known yet, and what it needs and risks. */
    public static Movement named(Id id, String title, Set<Segment> uses, Set<Injury> risks) {
        return new Movement(id, title, List.of(), uses, risks, List.of(), List.of(), true, 0);
    }
}
