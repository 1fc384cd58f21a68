package app.narrowgate.server.map;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Source;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.server.config.RenderedOnce;
import app.narrowgate.server.revision.Revision;
import app.narrowgate.server.revision.RevisionView;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/** A map as the client sees it: the open format's content, with the revision and what can be undone. */
@Schema(name = "Map")
@RenderedOnce
public record MapView(UUID id, int revision, String title, String about, HouseView house, List<FamilyView> families, List<FactView> facts,
        List<MovementView> movements, List<PrincipleView> principles, List<TechniqueView> techniques,
        List<SituationView> situations, List<OutcomeView> outcomes, List<ReactionView> reactions, List<AimView> aims,
        List<MatchupView> matchups, List<RuleView> rules, List<HoldTitle> holds, List<PostureTitle> postures,
        @Schema(description = "Ids of what is gone, as list/id or reactions/id/id; never to be given to anything else")
        List<String> retired, @Nullable RevisionView undo, @Nullable RevisionView redo) {

    @Schema(name = "House", description = "What holds where nothing else is asked for")
    record HouseView(@Schema(description = "Missing where the map has no matchup") @Nullable String matchup,
            double thinkBase, double thinkPerBit, @Schema(description = "Its ladder of grips, the weakest first") List<GripView> grips) {
        static HouseView of(EscapeMap map) {
            return new HouseView(map.matchups().isEmpty() ? null : map.houseMatchup().id().value(),
                    map.house().thinking().base(), map.house().thinking().perBit(),
                    map.house().grips().stream().map(grip -> new GripView(grip.title(), grip.grade())).toList());
        }
    }

    @Schema(name = "GripGrade", description = "How well the house thinks that a grip holds against its others")
    record GripView(String title, double grade) {
    }

    @Schema(name = "Family")
    record FamilyView(String id, String title,
            @Schema(description = "How the bodies are in those of its situations that say nothing else") @Nullable String posture) {
        static FamilyView of(Family f) {
            return new FamilyView(f.id().value(), f.title(), f.posture().map(Id::value).orElse(null));
        }
    }

    @Schema(name = "Fact")
    record FactView(String id, String title,
            @Schema(description = "How it follows from a matchup; missing where it does not") @Nullable MeasuredView measured) {
        static FactView of(Fact f) {
            return new FactView(f.id().value(), f.title(),
                    f.measured().map(m -> new MeasuredView(m.gauge().code(), m.from())).orElse(null));
        }
    }

    @Schema(name = "Measured")
    record MeasuredView(String gauge, double from) {
    }

    @Schema(name = "Principle")
    record PrincipleView(String id, String title, String condition, List<StanceView> stances,
            @Schema(description = "The stance the house has taken; missing where it goes by the condition")
            @Nullable String house) {
        static PrincipleView of(Principle p) {
            return new PrincipleView(p.id().value(), p.title(), p.condition(), p.stances().stream()
                    .map(s -> new StanceView(s.id().value(), s.title(), s.wants())).toList(),
                    p.house().map(Id::value).orElse(null));
        }
    }

    @Schema(name = "Stance")
    record StanceView(String id, String title, String wants) {
    }

    @Schema(name = "Technique")
    record TechniqueView(String id, String title, List<String> alsoCalled, List<String> movements, List<String> checkpoints,
            List<Technique.Fault> faults, List<Technique.Question> questions, List<String> cautions, @Nullable String stance,
            String level, boolean children, List<String> avoidWith, List<String> leansOn) {
        static TechniqueView of(Technique t) {
            return new TechniqueView(t.id().value(), t.title(), t.alsoCalled(), t.movements().stream().map(Id::value).toList(),
                    t.checkpoints(), t.faults(), t.questions(), t.cautions(),
                    t.stance().map(StanceRef::toString).orElse(null), t.level().code(), t.children(),
                    codes(t.avoidWith()), codes(t.leansOn()));
        }
    }

    @Schema(name = "Clock")
    record ClockView(double seconds, String becomes) {
        static ClockView of(Clock clock) {
            return new ClockView(clock.seconds(), clock.becomes().value());
        }
    }

    @Schema(name = "Situation")
    record SituationView(String id, String title, String family,
            @Schema(allowableValues = {"early", "joined", "settled", "last-chance"}, description = "Missing only for a resting place")
            @Nullable String stage,
            @Schema(allowableValues = {"in-front", "across", "beside", "astride", "above", "behind", "standing"})
            @Nullable String where,
            Map<String, String> held, Map<String, Boolean> facts, @Nullable ClockView clock, double entry,
            @Nullable String rest, @Schema(description = "What they can begin from a resting place") List<String> feeds,
            List<String> alsoCalled, @Schema(description = "What each segment of yours should be doing") Map<String, String> yours,
            @Schema(description = "How a partner holds it well and safely") Feeder feeder,
            @Schema(description = "Why there is only one answer; empty where nobody has said") String oneAnswer,
            @Schema(description = "How the bodies are; missing where they are as in its family") @Nullable String posture) {
        static SituationView of(Situation s) {
            return new SituationView(s.id().value(), s.title(), s.family().value(), s.stage().map(Coded::code).orElse(null),
                    s.bearing().map(Coded::code).orElse(null), segments(s.held()), flags(s.facts()),
                    s.clock().map(ClockView::of).orElse(null), s.entry(), s.rest().map(Coded::code).orElse(null),
                    s.feeds().stream().map(Id::value).toList(), s.notes().alsoCalled(), segments(s.notes().yours()),
                    s.notes().feeder(), s.notes().oneAnswer(), s.posture().map(Id::value).orElse(null));
        }

        private static Map<String, String> segments(Map<Segment, String> said) {
            Map<String, String> named = new LinkedHashMap<>();
            said.forEach((segment, text) -> named.put(segment.code(), text));
            return named;
        }
    }

    @Schema(name = "Outcome")
    record OutcomeView(String id, String title, String kind,
            @Schema(description = "After a reversal, where the other one finds themselves") @Nullable String then,
            @Schema(description = "How the bodies are; missing where nobody has drawn it") @Nullable String posture) {
        static OutcomeView of(Outcome o) {
            return new OutcomeView(o.id().value(), o.title(), o.kind().code(), o.then().map(Id::value).orElse(null),
                    o.posture().map(Id::value).orElse(null));
        }
    }

    @Schema(name = "Reaction")
    record ReactionView(String id, String from, String technique,
            @Schema(description = "What makes it the one to choose; empty where nobody has said") String when,
            @Schema(description = "Why it is wrong, for what people do and should not; empty for an answer") String doNot,
            Map<String, Boolean> needs, double seconds,
            LikelihoodView works, @Nullable SourceView source, @Nullable String stuffed, List<ResponseView> responses) {
        static ReactionView of(Reaction r) {
            return new ReactionView(r.id().value(), r.from().value(), r.technique().value(), r.when(), r.doNot(), flags(r.needs()),
                    r.seconds(), LikelihoodView.of(r.works()), r.source().map(SourceView::of).orElse(null), r.stuffed().map(Id::value).orElse(null),
                    r.responses().stream().map(ResponseView::of).toList());
        }
    }

    @Schema(name = "Source")
    record SourceView(@Schema(description = "What stood there before") LikelihoodView before,
            @Schema(description = "How often it was tried in the rounds behind the figure") double tries,
            @Schema(description = "How many of these were noted") double noted, LocalDate until) {
        static SourceView of(Source source) {
            return new SourceView(LikelihoodView.of(source.before()), source.tries(), source.noted(), source.until().toLocalDate());
        }
    }

    @Schema(name = "Response")
    record ResponseView(String id, String cue, LikelihoodView often, @Nullable String leads) {
        static ResponseView of(Response r) {
            return new ResponseView(r.id().value(), r.cue(), LikelihoodView.of(r.often()),
                    r.leads().map(Id::value).orElse(null));
        }
    }

    @Schema(name = "Aim")
    record AimView(String id, String title, Map<String, Double> worth,
            @Schema(description = "Places that end the round, and what each is worth") Map<String, Double> places, boolean chance) {
        static AimView of(Aim aim) {
            Map<String, Double> worth = new LinkedHashMap<>();
            aim.worth().forEach((kind, value) -> worth.put(kind.code(), value));
            Map<String, Double> places = new LinkedHashMap<>();
            aim.places().forEach((place, value) -> places.put(place.value(), value));
            return new AimView(aim.id().value(), aim.title(), worth, places, aim.isChance());
        }
    }

    @Schema(name = "Movement")
    record MovementView(String id, String title, List<String> alsoCalled, List<String> uses, List<String> risks, List<String> steps,
            List<Technique.Fault> faults, boolean bothSides, int repetitions) {
        static MovementView of(Movement m) {
            return new MovementView(m.id().value(), m.title(), m.alsoCalled(), codes(m.uses()), codes(m.risks()), m.steps(), m.faults(),
                    m.bothSides(), m.repetitions());
        }
    }

    @Schema(name = "Matchup")
    record MatchupView(String id, String title, double weightGap, double heightGap, boolean jacket, String setting,
            String age, String level, List<String> injuries, Map<String, Boolean> facts) {
        static MatchupView of(Matchup m) {
            return new MatchupView(m.id().value(), m.title(), m.weightGap(), m.heightGap(), m.jacket(),
                    m.setting().code(), m.age().code(), m.level().code(), codes(m.injuries()), flags(m.facts()));
        }
    }

    @Schema(name = "RateRule")
    record RuleView(String id, String title, String gauge, double above, double most, @Nullable String target,
            String effect, double amount, String reason, String source) {
        static RuleView of(RateRule r) {
            return new RuleView(r.id().value(), r.title(), r.gauge().code(), r.above(), r.most(),
                    r.target().map(Coded::code).orElse(null), r.effect().code(), r.amount(), r.reason(), r.source());
        }
    }

    @Schema(name = "HoldTitle", description = "A pin or a finish; what it needs is asked for on its own")
    record HoldTitle(String id, String title, @Schema(allowableValues = {"pin", "finish"}) String kind,
            List<String> at) {
        static HoldTitle of(Hold h) {
            return new HoldTitle(h.id().value(), h.title(), h.kind().code(), h.at().stream().map(Id::value).toList());
        }
    }

    @Schema(name = "PostureTitle", description = "How two bodies are at a place; its joints are asked for on their own")
    record PostureTitle(String id, String title,
            @Schema(description = "The posture from which it is told; missing for one that is told whole") @Nullable String base) {
        static PostureTitle of(Posture p) {
            return new PostureTitle(p.id().value(), p.title(), p.base().map(Id::value).orElse(null));
        }
    }

    private static List<String> codes(Set<? extends Coded> codes) {
        return codes.stream().map(Coded::code).sorted().toList();
    }

    static MapView of(StoredMap stored, Revision undo, Revision redo) {
        EscapeMap map = stored.index().map();
        return new MapView(stored.id(), stored.revision(), map.title(), map.about(),
                HouseView.of(map), map.families().stream().map(FamilyView::of).toList(),
                map.facts().stream().map(FactView::of).toList(),
                map.movements().stream().map(MovementView::of).toList(),
                map.principles().stream().map(PrincipleView::of).toList(),
                map.techniques().stream().map(TechniqueView::of).toList(),
                map.situations().stream().map(SituationView::of).toList(),
                map.outcomes().stream().map(OutcomeView::of).toList(),
                map.reactions().stream().map(ReactionView::of).toList(),
                map.aims().stream().map(AimView::of).toList(),
                map.matchups().stream().map(MatchupView::of).toList(),
                map.rulesInForce().stream().map(RuleView::of).toList(),
                map.holds().stream().map(HoldTitle::of).toList(), map.postures().stream().map(PostureTitle::of).toList(),
                stored.retired().paths().stream().sorted().toList(),
                undo == null ? null : RevisionView.of(undo), redo == null ? null : RevisionView.of(redo));
    }

    private static Map<String, Boolean> flags(Map<Id, Boolean> flags) {
        Map<String, Boolean> view = new LinkedHashMap<>();
        flags.forEach((id, flag) -> view.put(id.value(), flag));
        return view;
    }
}
