package app.narrowgate.core.drill;

import java.util.List;

/**
 * What a drill costs and gives.
 *
 * @param working seconds of practice
 * @param lost seconds of feeding, swapping and starting again
 * @param links repetitions of links, all together
 * @param resets how often both go back to a start
 */
public record DrillFigures(double working, double lost, int links, int feeds, int swaps, int resets) {

    /** The figures of {@code steps}. */
    public static DrillFigures of(List<DrillStep> steps) {
        double working = 0;
        double lost = 0;
        int[] counts = new int[DrillStep.Kind.values().length];
        for (DrillStep step : steps) {
            counts[step.kind().ordinal()]++;
            working += step.isWork() ? step.seconds() : 0;
            lost += step.isWork() ? 0 : step.seconds();
        }
        return new DrillFigures(working, lost, counts[DrillStep.Kind.LINK.ordinal()], counts[DrillStep.Kind.FEED.ordinal()],
                counts[DrillStep.Kind.SWAP.ordinal()], counts[DrillStep.Kind.RESET.ordinal()]);
    }

    /** Seconds in all. */
    public double seconds() {
        return working + lost;
    }

    /** Share in [0,1] of the time that is practice; 0 where there is none. */
    public double share() {
        return seconds() > 0 ? working / seconds() : 0;
    }

    /** Links a minute; 0 where no time passes. */
    public double linksPerMinute() {
        return seconds() > 0 ? 60 * links / seconds() : 0;
    }
}
