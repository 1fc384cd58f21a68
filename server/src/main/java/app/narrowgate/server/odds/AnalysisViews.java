package app.narrowgate.server.odds;

import app.narrowgate.core.advice.LateCurve;
import app.narrowgate.core.advice.RestAdvice;
import app.narrowgate.core.advice.StanceComparison;
import app.narrowgate.core.gate.NarrowGates;
import app.narrowgate.core.gate.SmallestCut;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.WorthBreakdown;
import app.narrowgate.core.round.CommonStories;
import app.narrowgate.core.round.Flow;
import app.narrowgate.core.round.RoundSimulation;
import app.narrowgate.core.round.StoryTeller;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What is computed beside the odds, as the client sees it; every worth and chance in [0,1]. */
public final class AnalysisViews {

    private AnalysisViews() {
    }

    @Schema(name = "Explanation")
    record ExplanationView(String situation, String reaction, double worth, List<PartView> parts) {
        static ExplanationView of(WorthBreakdown b) {
            return new ExplanationView(b.situation().value(), b.reaction().value(), b.worth(), b.parts().stream()
                    .map(p -> new PartView(p.branch().cause().code(), orNull(p.branch().response().map(LinkRef::response)),
                            p.branch().share(), p.branch().landing().value(),
                            p.worth(), p.gained(), p.lost())).toList());
        }
    }

    @Schema(name = "ExplanationPart")
    record PartView(@Schema(allowableValues = {"too-slow", "stuffed", "response"}) String cause,
            @Nullable String response, double chance, String lands, double worth, double gained, double lost) {
    }

    @Schema(name = "NarrowGates")
    public record GatesView(double start, List<GateView> gates, List<TrimView> trims) {
        /** As the client sees it. */
        public static GatesView of(NarrowGates g) {
            return new GatesView(g.start(), g.gates().stream().map(GateView::of).toList(),
                    g.trims().stream().map(t -> new TrimView(t.reaction().value(), t.situation().value(), t.trimGain()))
                            .toList());
        }
    }

    @Schema(name = "NarrowGate")
    public record GateView(String reaction, String situation, double startWithout, double lost,
            Map<String, Double> situations,
            @Schema(description = "A first-order estimate, as for the less costly ones of a very large map")
            boolean estimated) {
        static GateView of(NarrowGates.Gate g) {
            return new GateView(g.reaction().value(), g.situation().value(), g.startWithout(), g.lost(),
                    byValue(g.situations()), g.estimated());
        }
    }

    @Schema(name = "Trim", description = "A reaction that costs its situation more thinking time than it brings")
    public record TrimView(String reaction, String situation, double gain) {
    }

    @Schema(name = "SmallestCut")
    public record CutView(double threshold, List<String> reactions, double startWithout, boolean found, int atLeast,
            boolean exact) {
        /** As the client sees it. */
        public static CutView of(SmallestCut c) {
            return new CutView(c.threshold(), c.reactions().stream().map(Id::value).toList(), c.startWithout(),
                    c.found(), c.atLeast(), c.exact());
        }
    }

    @Schema(name = "LateCurve")
    record LateView(List<Double> delays, List<Double> start, Map<String, List<Double>> situations) {
        static LateView of(LateCurve c) {
            return new LateView(c.delays(), c.start(), byValue(c.situations()));
        }
    }

    @Schema(name = "Flow")
    record FlowView(@Schema(description = "The start first, then one an exchange") List<FlowExchangeView> exchanges,
            List<FlowLinkView> links) {
        static FlowView of(Flow f) {
            return new FlowView(f.exchanges().stream().map(e -> new FlowExchangeView(byValue(e))).toList(), f.links().stream()
                    .map(l -> new FlowLinkView(l.exchange(), l.from().value(), l.to().value(), l.count())).toList());
        }
    }

    @Schema(name = "FlowExchange")
    record FlowExchangeView(@Schema(description = "How many of 100 are at a place") Map<String, Double> places) {
    }

    @Schema(name = "FlowLink")
    record FlowLinkView(int exchange, String from, String to, double count) {
    }

    @Schema(name = "RestAdvice")
    record RestView(String situation, double rest, double goOn, boolean stop) {
        static RestView of(RestAdvice r) {
            return new RestView(r.situation().value(), r.rest(), r.goOn(), r.stop());
        }
    }

    @Schema(name = "Simulation")
    public record SimulationView(int rounds, double worth, double error, Map<String, Double> ends, double cutOff,
            @Schema(description = "Seconds at the 10th, 25th, 50th, 75th and 90th of 100") List<Double> seconds,
            List<StoryView> stories) {
        /** As the client sees it. */
        public static SimulationView of(MapIndex index, RoundSimulation s) {
            return new SimulationView(s.rounds(), s.worth(), s.error(), byValue(s.ends()), s.cutOff(), s.seconds(),
                    s.stories().stream().map(story -> StoryView.of(index, story)).toList());
        }
    }

    @Schema(name = "Story")
    public record StoryView(List<StepView> steps, String end, boolean cutOff,
            @Schema(description = "The same in words, a sentence a step") List<String> words) {
        static StoryView of(MapIndex index, RoundSimulation.Story s) {
            return new StoryView(s.steps().stream()
                    .map(t -> new StepView(t.situation().value(), orNull(t.reaction()), t.event().code(),
                            orNull(t.response()), t.lands().value(), t.seconds())).toList(),
                    s.end().value(), s.cutOff(), StoryTeller.tell(index, s));
        }
    }

    @Schema(name = "StoryStep")
    public record StepView(String situation, @Nullable String reaction,
            @Schema(allowableValues = {"too-slow", "stuffed", "response", "waited"}) String event,
            @Nullable String response, String lands, double seconds) {
    }

    @Schema(name = "CommonStory")
    record CommonStoryView(@Schema(description = "Chance that a round goes exactly so, in [0,1]") double chance,
            List<CommonStepView> steps, String end,
            @Schema(description = "The same in words, a sentence a step") List<String> words) {
        static CommonStoryView of(MapIndex index, CommonStories.Story s) {
            return new CommonStoryView(s.chance(), s.steps().stream().map(t -> new CommonStepView(t.situation().value(),
                    orNull(t.reaction()), t.event().code(), orNull(t.response()), t.lands().value())).toList(),
                    s.end().value(), StoryTeller.tell(index, s));
        }
    }

    @Schema(name = "CommonStep")
    record CommonStepView(String situation, @Nullable String reaction,
            @Schema(allowableValues = {"too-slow", "stuffed", "response", "waited"}) String event,
            @Nullable String response, String lands) {
    }

    @Schema(name = "StanceComparison")
    record StanceComparisonView(String principle, @Nullable String chosen, double byCondition,
            List<StanceChoiceView> choices) {
        static StanceComparisonView of(StanceComparison c) {
            return new StanceComparisonView(c.principle().value(), orNull(c.chosen()), c.byCondition(),
                    c.choices().stream().map(o -> new StanceChoiceView(o.stance().value(), o.start(),
                            o.teaches().stream().map(Id::value).toList(), o.leaves().stream().map(Id::value).toList(),
                            byValue(o.situations()))).toList());
        }
    }

    @Schema(name = "StanceChoice")
    record StanceChoiceView(String stance, double start,
            @Schema(description = "Reactions that take this stance") List<String> teaches,
            @Schema(description = "Reactions nobody would be taught any more") List<String> leaves,
            @Schema(description = "Change of each situation against going by the condition")
            Map<String, Double> situations) {
    }

    private static String orNull(Optional<Id> id) {
        return id.map(Id::value).orElse(null);
    }

    private static <T> Map<String, T> byValue(Map<Id, T> map) {
        Map<String, T> plain = new LinkedHashMap<>();
        map.forEach((id, value) -> plain.put(id.value(), value));
        return plain;
    }
}
