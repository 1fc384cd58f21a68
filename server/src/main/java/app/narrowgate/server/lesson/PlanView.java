package app.narrowgate.server.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.SoloPlan;
import app.narrowgate.core.due.Due;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Unit;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.drill.DrillView;
import app.narrowgate.server.odds.ClosingView;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/** A planned class as it is sent. */
@Schema(name = "ClassPlan")
record PlanView(List<LineView> lines, List<LeftOutView> leftOut,
        @Schema(description = "Worth in [0,1] of the class's starts for those who are here, on average") double now,
        @Schema(description = "The same when everything was practised, solved for") double after,
        @Schema(description = "What the lines gain when they are added up") double added, @Nullable WarmUpView warmUp,
        @Schema(description = "Parts of the shape for which there is nothing to practise") List<String> empty,
        @Schema(description = "What was fixed and is no longer on the map") List<String> gone) {

    /** A kind of drill, and the key of the unit when it is practised so. */
    @Schema(name = "ClassWay")
    record WayView(@Schema(allowableValues = {"live", "dial", "gate"}) String kind, String key) {
    }

    /** What is practised. */
    @Schema(name = "ClassUnit")
    record UnitView(String key, @Schema(allowableValues = {"warm-up", "recall", "new", "chain", "called", "live", "talk"}) String section,
            @Nullable String place, @Nullable @Schema(description = "The other one of two places that are kept apart") String other,
            List<String> reactions, @Nullable DrillView drill,
            @Schema(description = "Ways in which the same can be practised, its own among them; empty where there is only one") List<WayView> ways) {


        static UnitView of(Unit unit, int minutes) {
            return new UnitView(unit.key(), unit.section().code(), unit.apart().map(pair -> pair.one().situation()).or(unit::place).map(Id::value).orElse(null),
                    unit.apart().map(pair -> pair.other().situation().value()).orElse(null),
                    unit.links().stream().map(link -> link.reaction().value()).distinct().toList(),
                    unit.drill().map(drill -> DrillView.of(drill.lasting(Math.min(60, minutes)))).orElse(null),
                    unit.ways().stream().map(way -> new WayView(way.kind().code(), way.key())).toList());
        }
    }

    /** Somebody who does not practise it. */
    @Schema(name = "ClassNot")
    record NotView(UUID person, @Schema(allowableValues = {"closed", "above-level", "enough-new"}) String because,
            @Schema(description = "What closes it, as far as whoever asks may know") List<ClosingView> closings) {
    }

    /** Two, three, or one who rests. */
    @Schema(name = "ClassGroup")
    record GroupView(List<UUID> people, List<WhyView> why) {
    }

    /** What speaks for a group, or has to be minded. */
    @Schema(name = "ClassWhy")
    record WhyView(@Schema(allowableValues = {"together", "over-limit", "apart", "weight-unknown", "alike", "new-with-experienced", "shown", "feeds",
        "again", "lately", "three", "rests", "nobody-left"}) String note, @Nullable UUID person, @Nullable Double amount) {
    }

    /** A line of the plan. */
    @Schema(name = "ClassLine")
    record LineView(UnitView unit, @Schema(description = "Minutes from the beginning") int from, int minutes, boolean fixed,
            @Schema(description = "What it gains those who are here, on average, to first order") double gain, List<UUID> people, List<NotView> not,
            List<UUID> missed, @Nullable UUID helper,
            @Schema(description = "True for what was practised in the class before") boolean fromLast, @Nullable Double works,
            @Nullable Double worksAfter, int practisedBy,
            @Schema(description = "Of something that is recalled: for whom it is due") List<UUID> due,
            @Schema(description = "Worth of the starts that its forgetting costs those who are here, on average") double forgetting, List<GroupView> groups,
            @Schema(description = "Who works with whom after each change of partners") List<List<GroupView>> later) {
    }

    /** Something that was left out. */
    @Schema(name = "ClassLeftOut")
    record LeftOutView(UnitView unit, @Schema(allowableValues = {"time", "enough-new", "needs-another", "few", "taken-out"}) String reason, int minutes,
            double gain, @Nullable @Schema(description = "What the class as a whole would lose by it") Double costs, @Nullable String needs) {
    }

    /** Movements to warm up with. */
    @Schema(name = "ClassWarmUp")
    record WarmUpView(List<String> movements, @Schema(description = "The side that comes first, weak for most", allowableValues = {"left", "right"})
            @Nullable String side) {

        static WarmUpView of(SoloPlan plan) {
            return new WarmUpView(plan.movements().stream().map(Id::value).toList(),
                    plan.lines().stream().map(SoloPlan.Line::side).flatMap(Optional::stream).findFirst().map(Side::code).orElse(null));
        }
    }

    /** @param health true where whoever asks may know what hurts people */
    static PlanView of(ClassPlan plan, Map<String, List<PairedRound>> rounds, List<Due.InClass> due, boolean health) {
        return new PlanView(plan.lines().stream().map(line -> line(line, rounds.getOrDefault(line.unit().key(), List.of()), due, health)).toList(),
                plan.leftOut().stream().map(PlanView::leftOut).toList(), plan.now(), plan.after(), plan.added(),
                plan.warmUp().map(WarmUpView::of).orElse(null), plan.empty().stream().map(Coded::code).toList(), plan.gone());
    }

    private static LineView line(ClassPlan.Line line, List<PairedRound> rounds, List<Due.InClass> due, boolean health) {
        List<NotView> not = line.not().stream().map(one -> new NotView(one.student(), one.because().code(), one.closings().stream()
                .filter(closing -> health || closing.kind() != Closing.Kind.INJURY).map(ClosingView::of).toList())).toList();
        return new LineView(UnitView.of(line.unit(), line.minutes()), line.from(), line.minutes(), line.fixed(), line.gain(), line.who(), not,
                line.missed(), line.helper().orElse(null), line.fromLast(), line.works().orElse(null), line.worksAfter().orElse(null), line.practisedBy(),
                due(line, due).flatMap(one -> one.who().stream()).filter(line.who()::contains).distinct().toList(),
                due(line, due).mapToDouble(Due.InClass::cost).sum(),
                rounds.stream().limit(1).flatMap(round -> groups(round).stream()).toList(), rounds.stream().skip(1).map(PlanView::groups).toList());
    }

    private static Stream<Due.InClass> due(ClassPlan.Line line, List<Due.InClass> due) {
        return due.stream().filter(one -> line.unit().section() == Section.RECALL && line.unit().shares().containsKey(one.reaction()));
    }

    private static List<GroupView> groups(PairedRound round) {
        return round.groups().stream().map(PlanView::group).toList();
    }

    private static GroupView group(PairedRound.Group group) {
        return new GroupView(group.who(), group.why().stream()
                .map(why -> new WhyView(why.note().code(), why.who().orElse(null), why.amount().orElse(null))).toList());
    }

    private static LeftOutView leftOut(ClassPlan.LeftOut left) {
        return new LeftOutView(UnitView.of(left.unit(), left.minutes()), left.reason().code(), left.minutes(), left.gain(), left.costs().orElse(null),
                left.needs().map(Id::value).orElse(null));
    }
}
