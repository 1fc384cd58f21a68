package app.narrowgate.server.standing;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.due.Due;
import app.narrowgate.core.ledger.Ledger;
import app.narrowgate.core.ledger.Sides;
import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.movingup.GateList;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.record.RecordStore;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** Where somebody stands, in the map's words. */
@Schema(name = "Standing")
record StandingView(UUID person, String name, @Nullable @Schema(allowableValues = {"novice", "intermediate", "advanced"}) String level,
        @Nullable @Schema(description = "The last day on which they trained") LocalDate last, int rounds,
        @Schema(description = "Rounds that ended out") int out,
        List<DueView> due, List<LedgerView> ledger, @Schema(description = "Repetitions of one technique that the gym asks for in a year") int goal,
        SidesView live, SidesView clean, @Nullable @Schema(description = "Missing where nobody moves up from their level, or it is not known") GatesView gates,
        List<FaultView> faults) {

    /** What somebody practised, and what is left of it. */
    @Schema(name = "DueAnswer")
    record DueView(String reaction, String title, String place, String placeTitle, LocalDate last, @Schema(description = "On how many days") int days,
            @Schema(description = "Chance in (0,1] that it is still there") double retention,
            @Schema(description = "Worth in [0,1] of the starts that its forgetting costs") double cost, boolean due,
            @Schema(description = "From when on it is due") LocalDate from) {

        static DueView of(MapIndex index, Due due) {
            Reaction reaction = index.reaction(due.reaction()).orElseThrow();
            return new DueView(due.reaction().value(), index.reactionTitle(reaction), reaction.from().value(), index.placeTitle(reaction.from()),
                    due.held().last(), due.held().days(), due.retention(), due.cost(), due.isDue(), due.from());
        }
    }

    /** Repetitions of some days. */
    @Schema(name = "Repetitions")
    record SumView(double all, double left, double right, double fed, @Schema(description = "Of those, that somebody counted") double counted,
            TriesView clean, @Nullable @Schema(allowableValues = {"left", "right"}, description = "The side that was practised clearly less") String shorter) {
        static SumView of(Ledger.Sum sum) {
            return new SumView(sum.all(), sum.done().get(Side.LEFT), sum.done().get(Side.RIGHT), sum.fed(), sum.counted(), TriesView.of(sum.clean()),
                    sum.shorter().map(Coded::code).orElse(null));
        }
    }

    /** How often something was tried, and went well. */
    @Schema(name = "Tries")
    record TriesView(int of, int well) {
        static TriesView of(Tries tries) {
            return new TriesView(tries.of(), tries.well());
        }
    }

    /** Repetitions of one technique. */
    @Schema(name = "LedgerLine")
    record LedgerView(String technique, String title, @Schema(description = "Of the last 28 days") SumView lately,
            @Schema(description = "Of the last 365 days") SumView year, SumView ever) {
        static LedgerView of(MapIndex index, Ledger line) {
            return new LedgerView(line.technique().value(), titleOf(index, line.technique()), SumView.of(line.lately()), SumView.of(line.year()),
                    SumView.of(line.ever()));
        }
    }

    /** What went well on either side. */
    @Schema(name = "BothSides")
    record SidesView(TriesView left, TriesView right, @Schema(description = "Chance in [0,1] that the left side really is the weaker one") double leftIsWeaker,
            @Nullable @Schema(allowableValues = {"left", "right"}, description = "The weaker side, where that is nine to one at least") String weaker) {
        static SidesView of(Sides sides) {
            return new SidesView(TriesView.of(sides.left()), TriesView.of(sides.right()), sides.leftIsWeaker(), sides.weaker().map(Coded::code).orElse(null));
        }
    }

    /** The gates of a level. */
    @Schema(name = "MovingUp")
    record GatesView(@Schema(allowableValues = {"novice", "intermediate"}) String from, @Schema(allowableValues = {"intermediate", "advanced"}) String to,
            int shown, @Schema(description = "Not shown yet, though what was seen is enough") int ready, List<GateView> gates) {
    }

    /** A place on one side. */
    @Schema(name = "MovingUpGate")
    record GateView(String place, String title, @Schema(allowableValues = {"left", "right"}) String side,
            @Schema(description = "Rounds that began there, and ended out") TriesView live, TriesView clean, @Nullable LocalDate last,
            @Schema(allowableValues = {"too-little", "not-yet", "enough"}) String says,
            @Schema(description = "How many more rounds, all of which end out, would be enough") int missing, @Nullable DecisionView decision) {
    }

    /** What a coach decided. */
    @Schema(name = "GateDecision")
    record DecisionView(UUID id, boolean shown, String reason, Instant at, @Nullable @Schema(description = "Missing once they are forgotten") String by) {
        static DecisionView of(RecordStore.Decided decided) {
            return new DecisionView(decided.id(), decided.shown(), decided.reason(), decided.at(), decided.author());
        }
    }

    /** A fault that was seen. */
    @Schema(name = "SeenFault")
    record FaultView(String technique, String title, String sign, int times, LocalDate last,
            @Nullable @Schema(description = "What the map says of it; missing where it says nothing any more") String cause, @Nullable String fix) {
        static FaultView of(MapIndex index, Standing.Fault fault) {
            Optional<Technique.Fault> known = index.technique(Id.of(fault.technique())).stream().flatMap(one -> one.faults().stream())
                    .filter(one -> one.sign().equals(fault.sign())).findFirst();
            return new FaultView(fault.technique(), titleOf(index, Id.of(fault.technique())), fault.sign(), fault.times(), fault.last(),
                    known.map(Technique.Fault::cause).orElse(null), known.map(Technique.Fault::fix).orElse(null));
        }
    }

    static StandingView of(MapIndex index, Standing standing, int goal) {
        return new StandingView(standing.person().id(), standing.person().person().name(), level(standing), standing.last().orElse(null), standing.rounds(),
                standing.out(), standing.due().stream().map(one -> DueView.of(index, one)).toList(),
                standing.ledger().stream().map(one -> LedgerView.of(index, one)).toList(), goal, SidesView.of(standing.live()), SidesView.of(standing.clean()),
                standing.person().person().level().flatMap(from -> GateList.to(from).map(to -> gates(index, standing, from, to))).orElse(null),
                standing.faults().stream().map(one -> FaultView.of(index, one)).toList());
    }

    static String level(Standing standing) {
        return standing.person().person().level().map(Coded::code).orElse(null);
    }

    private static GatesView gates(MapIndex index, Standing standing, Level from, Level to) {
        return new GatesView(from.code(), to.code(), standing.shown(), standing.ready(), standing.gates().stream()
                .map(gate -> new GateView(gate.place().value(),
                index.placeTitle(gate.place()), gate.side().code(), TriesView.of(gate.evidence().live()), TriesView.of(gate.evidence().clean()),
                gate.evidence().last().orElse(null), gate.evidence().says().code(), gate.evidence().missing(),
                Optional.ofNullable(standing.decided().get(gate)).map(DecisionView::of).orElse(null))).toList());
    }

    private static String titleOf(MapIndex index, Id technique) {
        return index.technique(technique).map(one -> index.title(PartKind.TECHNIQUES, one.id())).orElse(technique.value());
    }
}
