package app.narrowgate.server.finish;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.finish.Answer;
import app.narrowgate.core.finish.ArmsCompared;
import app.narrowgate.core.finish.Ladder;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.server.odds.ClosingView;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Collection;
import java.util.List;
import java.util.OptionalDouble;

/** A hold as a ladder. Chances are in [0,1] and missing while a need's chance is not said. */
@Schema(name = "Ladder")
record LadderView(String id, String title, @Schema(allowableValues = {"pin", "finish"}) String kind, List<String> at,
        List<String> cautions, @Nullable BriefView feeder,
        @Schema(description = "True where no partner may close it, because children practise") boolean neverClosed,
        @Schema(description = "Chance that it closes before anything is built") @Nullable Double closes,
        List<RungView> rungs, List<StepView> steps,
        @Schema(description = "The stage whose best answer does most for its work") @Nullable String most,
        List<ArmsView> arms) {

    @Schema(name = "LadderBrief", description = "How a partner builds it for one who practises")
    record BriefView(String weight, String care, String gives) {
        static @Nullable BriefView of(Feeder feeder) {
            return feeder.equals(Feeder.NONE) ? null : new BriefView(feeder.weight(), feeder.care(), feeder.gives());
        }
    }

    @Schema(name = "LadderRung")
    record RungView(String need, String title, String sign,
            @Schema(allowableValues = {"early", "joined", "settled", "last-chance"}) @Nullable String stage, double work, int number,
            @Schema(description = "Number of the earlier rung to which it is an alternative") @Nullable Integer insteadOf,
            @Schema(description = "Chance that they get it when they go for it") @Nullable Double gets,
            @Schema(description = "Chance that the hold closes once everything up to here is met") @Nullable Double closes,
            @Schema(description = "How much more likely it closes with it than without (Birnbaum)") @Nullable Double importance,
            @Schema(description = "Share of the failures that go through it (Fussell and Vesely)") @Nullable Double shareOfFailures,
            List<OpeningView> openings, List<AnswerView> answers,
            @Schema(description = "Where nothing is taught: by how much it would fall if something often worked") @Nullable Double ifAnswered) {
        static RungView of(Ladder.Rung rung) {
            Requirement.Need need = rung.need();
            return new RungView(need.id().value(), need.title(), need.sign(), need.built().stage().map(Coded::code).orElse(null),
                    need.work(), rung.number(), rung.insteadOf().isPresent() ? rung.insteadOf().getAsInt() : null,
                    orNull(rung.gets()), orNull(rung.closes()), orNull(rung.importance()), orNull(rung.shareOfFailures()),
                    need.openings().stream().map(o -> new OpeningView(o.fault(), o.leaves())).toList(),
                    rung.answers().stream().map(AnswerView::of).toList(), orNull(rung.ifAnswered()));
        }
    }

    @Schema(name = "LadderOpening", description = "What they do wrong, and what that leaves you")
    record OpeningView(String fault, String leaves) {
    }

    @Schema(name = "LadderAnswer", description = "A reaction taught against it, at the stage of its situation")
    record AnswerView(String reaction, @Schema(allowableValues = {"early", "joined", "settled", "last-chance"}) String stage,
            @Schema(description = "Needs that go with it") List<String> takesAway,
            @Schema(description = "Chance that it gets going") double works,
            @Schema(description = "Chance that it is in time") double inTime,
            @Schema(description = "Seconds, without thinking and a late start") double seconds,
            @Schema(description = "Chance that the hold closes, as seen from its stage") @Nullable Double before,
            @Schema(description = "The same with the answer given once") @Nullable Double closes,
            List<ClosingView> closedBy) {
        static AnswerView of(Answer answer) {
            return new AnswerView(answer.reaction().value(), answer.stage().code(), values(answer.takesAway()), answer.works(),
                    answer.inTime(), answer.seconds(), orNull(answer.before()), orNull(answer.closes()),
                    answer.closedBy().stream().map(ClosingView::of).toList());
        }
    }

    @Schema(name = "LadderStep")
    record StepView(@Schema(allowableValues = {"early", "joined", "settled", "last-chance"}) String stage,
            @Schema(description = "Chance that it closes, as seen from here") @Nullable Double closes,
            @Schema(description = "The need that is taken away for the least work") @Nullable String need,
            @Nullable AnswerView answer) {
        static StepView of(Ladder.Step step) {
            return new StepView(step.stage().code(), orNull(step.closes()),
                    step.best().map(best -> best.need().id().value()).orElse(null),
                    step.best().map(best -> AnswerView.of(best.answer())).orElse(null));
        }
    }

    @Schema(name = "ArmsCompared", description = "What an arrangement of your arms leaves them, as long as it is kept")
    record ArmsView(String id, String title, List<LeftView> left) {
        static ArmsView of(ArmsCompared compared) {
            return new ArmsView(compared.arms().id().value(), compared.arms().title(),
                    compared.left().stream().map(LeftView::of).toList());
        }
    }

    @Schema(name = "LeftToThem")
    record LeftView(String hold, String title, @Schema(allowableValues = {"pin", "finish"}) String kind,
            @Schema(description = "How many things it needs") int needs, @Nullable Double before, @Nullable Double closes,
            @Schema(description = "Titles of its needs that the arms deny") List<String> denied,
            @Schema(description = "Titles of its needs that the arms give") List<String> given,
            @Schema(description = "Rungs that they can still build, until one is missing that they cannot do without")
            List<Integer> free,
            @Schema(description = "True when it cannot close") boolean cannot) {
        static LeftView of(ArmsCompared.Left left) {
            Hold hold = left.hold();
            return new LeftView(hold.id().value(), hold.title(), hold.kind().code(), hold.requirement().needs().size(),
                    orNull(left.before()), orNull(left.closes()), titles(hold, left.denied()), titles(hold, left.given()),
                    List.copyOf(left.free()), left.cannot());
        }

        private static List<String> titles(Hold hold, Collection<Id> needs) {
            return hold.requirement().needs().stream().filter(need -> needs.contains(need.id()))
                    .map(Requirement.Need::title).toList();
        }
    }

    /** One line of the list of ladders. */
    @Schema(name = "LadderLine")
    record LineView(String id, String title, @Schema(allowableValues = {"pin", "finish"}) String kind, List<String> at,
            @Schema(description = "How many things they need") int needs,
            @Schema(description = "Against how many of them nothing is taught") int untaught,
            @Nullable Double closes, List<StepView> steps, @Nullable String most) {
        static LineView of(Ladder ladder) {
            Hold hold = ladder.hold();
            return new LineView(hold.id().value(), hold.title(), hold.kind().code(), places(hold), ladder.rungs().size(),
                    (int) ladder.rungs().stream().filter(rung -> rung.answers().isEmpty()).count(), orNull(ladder.closes()),
                    ladder.stages().stream().map(StepView::of).toList(), ladder.most().map(Coded::code).orElse(null));
        }
    }

    static LadderView of(Ladder ladder, List<ArmsCompared> arms) {
        Hold hold = ladder.hold();
        return new LadderView(hold.id().value(), hold.title(), hold.kind().code(), places(hold), hold.cautions(),
                BriefView.of(hold.feeder()), ladder.neverClosed(), orNull(ladder.closes()),
                ladder.rungs().stream().map(RungView::of).toList(), ladder.stages().stream().map(StepView::of).toList(),
                ladder.most().map(Coded::code).orElse(null), arms.stream().map(ArmsView::of).toList());
    }

    private static List<String> places(Hold hold) {
        return hold.at().stream().map(Id::value).toList();
    }

    /** Sets have no order; ids are sent in the alphabet's. */
    private static List<String> values(Collection<Id> ids) {
        return ids.stream().map(Id::value).sorted().toList();
    }

    private static @Nullable Double orNull(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
