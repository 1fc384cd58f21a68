package app.narrowgate.core.term;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import java.util.List;
import java.util.Optional;

/**
 * What is taught when.
 *
 * @param taught what is practised in the term or was in a class before, in the order in which it comes
 * @param now worth in [0,1] of the map's starts for those who train, on average, if they knew what the map says and no class had moved it
 * @param without the same at the end of the term for what is left then of the classes that were
 * @param end the same with what is planned; each solved for with everybody's expected figures
 * @param leftOut what is worth teaching and did not find a place
 */
public record TermPlan(List<Taught> taught, double now, double without, double end, List<LeftOut> leftOut) {

    /**
     * One answer over the weeks.
     *
     * @param classes those in which it comes, by their number among the coming ones, in order
     * @param fresh true where it is new in the first of these
     * @param remembered share in [0,1] of those for whom it is open who have it at the end, as expected
     * @param otherwise the same without what is planned
     * @param gain worth that what is planned of it gains the students, on average and to first order
     */
    public record Taught(Id reaction, List<Integer> classes, boolean fresh, double remembered, double otherwise, double gain) {
        public Taught {
            classes = List.copyOf(classes);
        }
    }

    /** Why something found no place. */
    public enum Reason implements Coded {
        /** No coming class is about its place. */
        NO_CLASS,
        /** Other things gain more in the classes that are about it. */
        NO_ROOM,
        /** What it needs is not taught before. */
        NEEDS_ANOTHER
    }

    /**
     * Something that found no place.
     *
     * @param gain worth that teaching it once would gain the students, on average and to first order
     * @param needs what it needs; only with {@link Reason#NEEDS_ANOTHER}
     */
    public record LeftOut(Id reaction, Reason reason, double gain, Optional<Id> needs) {
    }

    public TermPlan {
        taught = List.copyOf(taught);
        leftOut = List.copyOf(leftOut);
    }
}
