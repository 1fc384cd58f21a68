package app.narrowgate.core.drill;

import java.util.List;

/**
 * A closed walk of a pair through the links they practise: its end is its beginning, so it can be gone round again.
 *
 * @param steps in order; begins with a link
 * @param bound no walk with as many repetitions loses fewer seconds
 * @param proven true when this one loses no more than that
 */
public record Chain(List<DrillStep> steps, double bound, boolean proven) {
    public Chain {
        steps = List.copyOf(steps);
    }

    /** What the walk costs and gives. */
    public DrillFigures figures() {
        return DrillFigures.of(steps);
    }
}
