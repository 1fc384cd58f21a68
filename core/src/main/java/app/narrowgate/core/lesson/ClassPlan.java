package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.SoloPlan;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Closing;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * A class to the minute.
 *
 * @param now worth in [0,1] of the class's starts for those who are here, on average, before it
 * @param after the same when everything was practised, solved for; below what the lines add up to, where they overlap
 * @param warmUp movements of the warm-up, from what is practised; empty where nothing of it names one
 * @param empty parts of the shape for which there is nothing to practise
 * @param gone what was fixed and is no longer on the map
 */
public record ClassPlan(List<Line> lines, List<LeftOut> leftOut, double now, double after, Optional<SoloPlan> warmUp, List<Section> empty,
        List<String> gone) {

    /**
     * A unit with its minutes.
     *
     * @param from minutes from the beginning of the class
     * @param fixed true where it was asked for
     * @param gain worth of the starts that it gains those who are here, on average over all of them, to first order
     * @param who those who practise it
     * @param not those who do not, or practise something else from there
     * @param missed of who practises it those who were not there the last time; only with {@link Section#RECALL}
     * @param helper who shows it to whoever missed it
     * @param fromLast true for what was practised in the class before
     * @param works how often what is practised gets going now, on average over who practises it; empty for a part that frames the class
     * @param worksAfter the same afterwards
     * @param practisedBy how many of those who are here have practised all of it in a class before
     */
    public record Line(Unit unit, int from, int minutes, boolean fixed, double gain, List<UUID> who, List<Not> not, List<UUID> missed,
            Optional<UUID> helper, boolean fromLast, Optional<Double> works, Optional<Double> worksAfter, int practisedBy) {
        public Line {
            who = List.copyOf(who);
            not = List.copyOf(not);
            missed = List.copyOf(missed);
        }

        /** Those for whom the map closes it: they are never on the bottom in it. */
        public Set<UUID> feeds() {
            return not.stream().filter(one -> one.because() == Because.CLOSED).map(Not::student).collect(Collectors.toSet());
        }
    }

    /** Why somebody does not practise something. */
    public enum Because implements Coded {
        /** The map closes it for them. */
        CLOSED,
        /** It is taught later. */
        ABOVE_LEVEL,
        /** They have as many new links as somebody of their level is given in one class. */
        ENOUGH_NEW
    }

    /**
     * Somebody who does not practise a unit.
     *
     * @param closings what closes it; only with {@link Because#CLOSED}
     */
    public record Not(UUID student, Because because, List<Closing> closings) {
        public Not {
            closings = List.copyOf(closings);
        }
    }

    /** Why a unit was left out. */
    public enum Reason implements Coded {
        /** Other things bring more in the time. */
        TIME,
        /** Those who are here have enough that is new. */
        ENOUGH_NEW,
        /** It needs something that is not practised tonight and that most here have not got. */
        NEEDS_ANOTHER,
        /** Fewer than half of those who are here would practise it. */
        FEW,
        /** Somebody took it out. */
        TAKEN_OUT
    }

    /**
     * A unit that was left out.
     *
     * @param minutes it would be given
     * @param gain what it would gain on its own
     * @param costs what the class as a whole would lose, in first order, at least 0; empty where there is no room for it
     * @param needs the reaction that it needs; only with {@link Reason#NEEDS_ANOTHER}
     */
    public record LeftOut(Unit unit, Reason reason, int minutes, double gain, Optional<Double> costs, Optional<Id> needs) {
    }

    public ClassPlan {
        lines = List.copyOf(lines);
        leftOut = List.copyOf(leftOut);
        empty = List.copyOf(empty);
        gone = List.copyOf(gone);
    }

    /** What the lines gain when they are added up. */
    public double added() {
        return lines.stream().mapToDouble(Line::gain).sum();
    }
}
