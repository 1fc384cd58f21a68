package app.narrowgate.core.mat;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.drill.CallOrder;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.SoloPlan;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Turns;
import app.narrowgate.core.lesson.Unit;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Lays the lines of a plan out into the steps of a class: shown, changed over, worked by the clock. Each part lasts its minutes to the second. */
public final class MatScript {

    /** Minutes of a break. */
    public static final Range BREAK = new Range(1, 15, "minutes");

    private static final int MINUTE = 60;
    /** Seconds for one movement of a warm-up, at least; our estimate. */
    private static final int LEAST_MOVE = 40;

    private final MapIndex index;
    private int number;

    private MatScript(MapIndex index, int first) {
        this.index = index;
        this.number = first;
    }

    /**
     * The parts of a whole class.
     *
     * @param bouts who works with whom, by the keys of the plan's units, a round for each change of partners
     */
    public static List<MatPart> of(MapIndex index, ClassPlan plan, Map<String, List<PairedRound>> bouts) {
        MatScript script = new MatScript(index, 1);
        return plan.lines().stream().map(line -> script.part(line, plan.warmUp(), bouts.getOrDefault(line.unit().key(), List.of()), false)).toList();
    }

    /**
     * A part that was not planned.
     *
     * @param first the number of its first step
     */
    static MatPart inserted(MapIndex index, ClassPlan.Line line, List<PairedRound> bouts, int first) {
        return new MatScript(index, first).part(line, Optional.empty(), bouts, true);
    }

    /** A break. */
    static MatPart pause(int minutes, int first) {
        BREAK.require("A break", minutes);
        return new MatPart(MatPart.BREAK, Optional.empty(), Optional.empty(), Optional.empty(), List.of(), Optional.empty(),
                List.of(MatStep.plain(first, MatStep.Kind.BREAK, minutes * MINUTE)), List.of(), Set.of(), true);
    }

    private MatPart part(ClassPlan.Line line, Optional<SoloPlan> warmUp, List<PairedRound> bouts, boolean inserted) {
        Unit unit = line.unit();
        List<MatStep> steps = switch (unit.section()) {
            case WARM_UP -> moves(warmUp.map(SoloPlan::movements).map(List::copyOf).orElse(List.of()), line.minutes() * MINUTE);
            case TALK -> List.of(MatStep.plain(number++, MatStep.Kind.TALK, line.minutes() * MINUTE));
            default -> worked(unit, line.minutes());
        };
        return new MatPart(unit.key(), Optional.of(unit.section()), unit.apart().map(pair -> pair.one().situation()).or(unit::place),
                unit.apart().map(pair -> pair.other().situation()), unit.links(), unit.drill().map(Drill::kind), steps,
                bouts.stream().map(round -> round.groups().stream().map(PairedRound.Group::who).toList()).toList(), line.feeds(), inserted);
    }

    private List<MatStep> moves(List<Id> movements, int seconds) {
        int many = Math.min(movements.size(), seconds / LEAST_MOVE);
        if (many == 0) {
            return List.of(MatStep.plain(number++, MatStep.Kind.MOVE, seconds));
        }
        List<MatStep> steps = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            int each = seconds * (i + 1) / many - seconds * i / many;
            steps.add(new MatStep(number++, MatStep.Kind.MOVE, each, Optional.empty(), Optional.empty(), Optional.of(movements.get(i)), 0, List.of()));
        }
        return steps;
    }

    private List<MatStep> worked(Unit unit, int minutes) {
        Turns turns = Turns.of(unit.section(), minutes);
        List<MatStep> steps = new ArrayList<>();
        if (turns.showing() > 0) {
            steps.add(MatStep.plain(number++, MatStep.Kind.SHOW, turns.showing()));
        }
        for (Turns.Turn turn : turns.turns()) {
            steps.add(new MatStep(number++, MatStep.Kind.CHANGE, Turns.CHANGE, Optional.of(turn.side()), Optional.of(turn.bottom()), Optional.empty(),
                    turn.bout(), List.of()));
            steps.add(new MatStep(number, MatStep.Kind.ROUND, turn.seconds(), Optional.of(turn.side()), Optional.of(turn.bottom()), Optional.empty(),
                    turn.bout(), calls(unit, turn.seconds(), number)));
            number++;
        }
        return steps;
    }

    /** Calls that fill a round, each with time for the answer and for going back. */
    private List<MatStep.Call> calls(Unit unit, int seconds, int salt) {
        List<LinkRef> links = unit.links().stream().filter(link -> index.reaction(link.reaction()).isPresent()).limit(CallOrder.MOST_CALLS).toList();
        if (unit.section() != Section.CALLED || unit.drill().map(Drill::kind).filter(kind -> kind == DrillKind.CALLED).isEmpty() || links.isEmpty()) {
            return List.of();
        }
        int most = (int) Math.ceil(seconds / (HouseTimes.USUAL.responding() + HouseTimes.USUAL.reset())) + 1;
        List<Integer> order = CallOrder.of(links.size(), Math.max(1, (most + links.size() - 1) / links.size()), unit.drill().get().seed() + salt);
        List<MatStep.Call> calls = new ArrayList<>();
        double at = 0;
        for (int next : order) {
            double takes = seconds(links.get(next));
            if (at + takes > seconds && !calls.isEmpty()) {
                break;
            }
            calls.add(new MatStep.Call(links.get(next), (int) Math.round(at)));
            at += takes;
        }
        return calls;
    }

    private double seconds(LinkRef link) {
        return index.reaction(link.reaction()).map(Reaction::seconds).orElse(0.0) + HouseTimes.USUAL.responding() + HouseTimes.USUAL.reset();
    }
}
