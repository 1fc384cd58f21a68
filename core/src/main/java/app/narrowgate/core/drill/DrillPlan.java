package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A drill as one pair does it.
 *
 * @param stretches one a side, in order; their steps fill the minutes asked for to within one step
 * @param rounds timed rounds of the kinds that are left to the pair; else empty
 * @param solo what is done alone; only with {@link DrillKind#SOLO}
 * @param guessing how well the next call could be guessed; empty where nothing is called
 * @param bound of a chain: no walk with as many repetitions loses fewer seconds in one round
 * @param lostInRound of a chain: what one round of this walk loses
 * @param verdicts links that this pair practises otherwise, or not at all
 * @param unreached links that the time does not reach
 */
public record DrillPlan(List<Stretch> stretches, List<TimedRound> rounds, Optional<SoloPlan> solo, Optional<Guessing> guessing,
        Optional<Double> bound, double lostInRound, List<WhoMay.Verdict> verdicts, List<LinkRef> unreached) {

    /** One side of a drill. */
    public record Stretch(Side side, List<DrillStep> steps) {
        public Stretch {
            steps = List.copyOf(steps);
        }
    }

    /** A round by the clock. */
    public record TimedRound(Side side, Role bottom, Id place, double seconds) {
    }

    public DrillPlan {
        stretches = List.copyOf(stretches);
        rounds = List.copyOf(rounds);
        verdicts = List.copyOf(verdicts);
        unreached = List.copyOf(unreached);
    }

    /** Every step, in order. */
    public List<DrillStep> steps() {
        List<DrillStep> all = new ArrayList<>();
        stretches.forEach(stretch -> all.addAll(stretch.steps()));
        return all;
    }

    /** What it costs and gives. */
    public DrillFigures figures() {
        return DrillFigures.of(steps());
    }

    /** Minutes that it fills. */
    public double minutes() {
        return (figures().seconds() + rounds.stream().mapToDouble(TimedRound::seconds).sum()
                + solo.map(plan -> plan.lines().stream().mapToDouble(line -> line.minutes() * 60).sum()).orElse(0.0)) / 60;
    }

    /** How often each link comes for each partner on the bottom, in the order of first coming. */
    public Map<LinkRef, int[]> counts() {
        Map<LinkRef, int[]> counts = new LinkedHashMap<>();
        steps().forEach(step -> step.link().ifPresent(
                link -> counts.computeIfAbsent(link, l -> new int[2])[step.from().bottom().ordinal()]++));
        return counts;
    }

    /** True where a chain loses no more than it must. */
    public boolean isProven() {
        return bound.filter(b -> lostInRound - b < ConnectedCirculation.TOLERANCE).isPresent();
    }
}
