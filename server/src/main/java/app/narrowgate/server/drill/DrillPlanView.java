package app.narrowgate.server.drill;

import app.narrowgate.core.drill.CallOrder;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillDesigner;
import app.narrowgate.core.drill.DrillFigures;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.DrillPlan;
import app.narrowgate.core.drill.DrillStep;
import app.narrowgate.core.drill.Guessing;
import app.narrowgate.core.drill.Ladder;
import app.narrowgate.core.drill.NextStep;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.PracticeLink;
import app.narrowgate.core.drill.RotationOfThree;
import app.narrowgate.core.drill.SoloPlan;
import app.narrowgate.core.drill.WhoMay;
import app.narrowgate.core.map.Feeder;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.trait.Side;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** A drill for one pair, in words. */
@Schema(name = "DrillPlan")
record DrillPlanView(KindView kind, List<PlannedLink> links, List<String> fakes, List<StretchView> stretches, List<RoundView> rounds,
        @Nullable SoloView solo, FiguresView figures, @Schema(description = "Minutes that it fills") double minutes,
        @Schema(description = "Seconds that the same links would take one by one, each from the start") double oneByOne,
        @Nullable GuessingView guessing, @Nullable BoundView bound, List<VerdictView> verdicts,
        @Schema(description = "Numbers of the links that the time does not reach") List<Integer> unreached,
        List<FeedView> feeding, List<MistakeView> mistakes,
        @Schema(description = "Right and wrong in turn, for a partner who stops at what is wrong: numbers of links, then of mistakes")
        List<Integer> spotting, List<String> cautions,
        @Schema(description = "The kinds of drill in the order in which the pair's level climbs them") List<String> ladder,
        @Schema(description = "Turns for a group of three, until each has fed each") List<ThreeView> threes) {

    /** Who does what in a group of three, numbered from 1. */
    @Schema(name = "TurnOfThree")
    record ThreeView(int bottom, int feeder, int rests) {
        static ThreeView of(RotationOfThree.Turn turn) {
            return new ThreeView(turn.bottom() + 1, turn.feeder() + 1, turn.rests() + 1);
        }
    }

    /** What a kind of drill asks. */
    @Schema(name = "DrillKind")
    record KindView(String code, @Schema(allowableValues = {"blocked", "serial", "random"}) String order, String feeder, String counts,
            String stop, String caution) {
        static KindView of(DrillKind kind) {
            return new KindView(kind.code(), kind.order().code(), kind.feeder(), kind.counts(), kind.stop(), kind.caution());
        }
    }

    /** A link in words. */
    @Schema(name = "PlannedLink")
    record PlannedLink(String reaction, String response, @Schema(description = "What the feeder shouts") String word,
            @Schema(allowableValues = {"opening", "call", "finish"}) String part, String start, String startTitle,
            @Schema(description = "What calls for the answer; empty where nobody has said") String trigger, String answer,
            List<String> checkpoints, String cue, String landing, String landingTitle, NextView next, double seconds,
            @Schema(description = "How many of 100 starts there reach the aim with this answer, in [0,1]") double worth,
            @Schema(description = "How often it comes for the first and the second partner") List<Integer> counts) {
    }

    /** What the pair does after it has landed. */
    @Schema(name = "NextStep")
    record NextView(@Schema(allowableValues = {"go-on", "feed", "swap", "let-go", "reset"}) String kind,
            @Schema(description = "The situation that comes next") @Nullable String place,
            @Schema(description = "What the bottom player does there") @Nullable String answer) {
        static NextView of(MapIndex index, NextStep next) {
            return new NextView(next.kind().code(), next.place().map(index::placeTitle).orElse(null),
                    next.answer().flatMap(index::reaction).map(index::reactionTitle).orElse(null));
        }
    }

    @Schema(name = "DrillStretch")
    record StretchView(@Schema(allowableValues = {"left", "right"}) String side, List<StepView> steps) {
    }

    @Schema(name = "DrillStep")
    record StepView(@Schema(allowableValues = {"link", "fake", "feed", "swap", "reset"}) String kind,
            @Schema(description = "The number of the link, with a link") @Nullable Integer link,
            @Schema(description = "The number of the fake, with a fake") @Nullable Integer fake,
            @Schema(allowableValues = {"first", "second"}) String bottom, String from, String to, double seconds) {
    }

    @Schema(name = "TimedRound")
    record RoundView(@Schema(allowableValues = {"left", "right"}) String side,
            @Schema(allowableValues = {"first", "second"}) String bottom, String place, String placeTitle, double seconds) {
    }

    /** Solo work in words. */
    @Schema(name = "SoloPlan")
    record SoloView(List<SoloLineView> lines, List<String> without, double share, boolean proven) {
        static SoloView of(MapIndex index, SoloPlan plan) {
            return new SoloView(plan.lines().stream().map(line -> SoloLineView.of(index, line)).toList(),
                    plan.without().stream().map(id -> index.title(PartKind.TECHNIQUES, id)).toList(), plan.share(), plan.proven());
        }
    }

    @Schema(name = "SoloLine")
    record SoloLineView(String movement, String title, @Nullable @Schema(allowableValues = {"left", "right"}) String side,
            int repetitions, double minutes, List<String> steps) {
        static SoloLineView of(MapIndex index, SoloPlan.Line line) {
            Movement movement = index.part(PartKind.MOVEMENTS, line.movement()).orElseThrow();
            return new SoloLineView(movement.id().value(), movement.title(), line.side().map(Side::code).orElse(null),
                    line.repetitions(), line.minutes(), movement.steps());
        }
    }

    @Schema(name = "DrillFigures")
    record FiguresView(double working, double lost, double seconds, double share, double linksPerMinute, int links, int feeds,
            int swaps, int resets) {
        static FiguresView of(DrillFigures figures) {
            return new FiguresView(figures.working(), figures.lost(), figures.seconds(), figures.share(), figures.linksPerMinute(),
                    figures.links(), figures.feeds(), figures.swaps(), figures.resets());
        }
    }

    @Schema(name = "Guessing")
    record GuessingView(double byCounts, double byLast, double byLastTwo, double worst, double luck) {
        static GuessingView of(Guessing guessing) {
            return new GuessingView(guessing.byCounts(), guessing.byLast(), guessing.byLastTwo(), guessing.worst(), guessing.luck());
        }
    }

    @Schema(name = "DrillBound", description = "Of a chain: what one round loses, and what every round must lose")
    record BoundView(double lost, double least, boolean proven) {
    }

    @Schema(name = "DrillVerdict")
    record VerdictView(@Schema(description = "The answer that was asked for") String reaction, String asked, @Nullable String taken, List<ReasonView> because, boolean aboveLevel) {
    }

    /** What closed a link. */
    @Schema(name = "DrillReason")
    record ReasonView(@Schema(allowableValues = {"fact", "stance", "injury", "children", "rule", "aim", "do-not"}) String kind, String what) {
        static ReasonView of(Closing closing) {
            return new ReasonView(closing.kind().code(), closing.what());
        }
    }

    @Schema(name = "DrillFeed", description = "How a place is held for a partner")
    record FeedView(String place, String title, Feeder feeder) {
    }

    /** What people do there and should not. */
    @Schema(name = "Mistake")
    record MistakeView(String reaction, String title, String why, List<String> landings) {
        static MistakeView of(MapIndex index, Reaction reaction) {
            return new MistakeView(reaction.id().value(), index.reactionTitle(reaction), reaction.doNot(), reaction.responses()
                    .stream().flatMap(response -> response.leads().stream()).distinct().map(index::placeTitle).toList());
        }
    }

    static DrillPlanView of(PracticeGraph graph, Drill drill, DrillPlan plan) {
        return new Writing(graph, drill, plan).view();
    }

    /** Puts a plan into words. */
    private static final class Writing {

        /** Often enough that each comes after each, seldom enough to stay a look and not a habit. */
        private static final int SPOTTED = 2;
        private static final int TURNS_OF_THREE = 6;

        private final PracticeGraph graph;
        private final MapIndex index;
        private final Drill drill;
        private final DrillPlan plan;
        private final Map<LinkRef, Integer> numbers = new LinkedHashMap<>();
        private final Map<LinkRef, int[]> counts;

        Writing(PracticeGraph graph, Drill drill, DrillPlan plan) {
            this.graph = graph;
            this.index = graph.solved().index();
            this.drill = drill;
            this.plan = plan;
            this.counts = plan.counts();
            Set<LinkRef> ordered = new LinkedHashSet<>(drill.allLinks());
            ordered.retainAll(union(counts.keySet(), plan.unreached()));
            ordered.addAll(counts.keySet());
            ordered.forEach(link -> numbers.put(link, numbers.size()));
        }

        private static Set<LinkRef> union(Set<LinkRef> one, List<LinkRef> other) {
            Set<LinkRef> both = new LinkedHashSet<>(one);
            both.addAll(other);
            return both;
        }

        DrillPlanView view() {
            List<PracticeLink> practised = numbers.keySet().stream().map(graph::link).toList();
            Set<Id> starts = practised.stream().map(PracticeLink::start).collect(Collectors.toCollection(LinkedHashSet::new));
            drill.place().ifPresent(starts::add);
            List<Reaction> wrong = starts.stream().flatMap(s -> index.reactionsFrom(s).stream()).filter(Reaction::isWrong)
                    .limit(Math.max(0, CallOrder.MOST_CALLS - Math.min(numbers.size(), CallOrder.MOST_CALLS - 1))).toList();
            boolean spots = !wrong.isEmpty() && !numbers.isEmpty() && numbers.size() + wrong.size() <= CallOrder.MOST_CALLS;
            double oneByOne = plan.steps().stream().filter(DrillStep::isWork)
                    .mapToDouble(step -> step.seconds() + graph.times().reset()).sum();
            return new DrillPlanView(KindView.of(drill.kind()), links(practised), drill.fakes(), stretches(), rounds(),
                    plan.solo().map(solo -> SoloView.of(index, solo)).orElse(null), FiguresView.of(plan.figures()), plan.minutes(),
                    oneByOne, plan.guessing().map(GuessingView::of).orElse(null),
                    plan.bound().map(bound -> new BoundView(plan.lostInRound(), bound, plan.isProven())).orElse(null),
                    plan.verdicts().stream().map(this::verdict).toList(),
                    plan.unreached().stream().map(numbers::get).toList(), feeding(starts),
                    wrong.stream().map(reaction -> MistakeView.of(index, reaction)).toList(),
                    spots ? CallOrder.of(numbers.size() + wrong.size(), SPOTTED, drill.seed()) : List.of(), cautions(practised),
                    Ladder.of(graph.solved().setting().matchup().level()).stream().map(DrillKind::code).toList(),
                    RotationOfThree.of(TURNS_OF_THREE).stream().map(ThreeView::of).toList());
        }

        private List<PlannedLink> links(List<PracticeLink> practised) {
            Set<Id> starts = practised.stream().map(PracticeLink::start).collect(Collectors.toSet());
            Map<LinkRef, String> words = DrillDesigner.words(graph, numbers.keySet(), drill.words());
            return practised.stream().map(link -> {
                Reaction reaction = index.reaction(link.ref().reaction()).orElseThrow();
                Technique technique = index.technique(reaction.technique()).orElseThrow();
                int[] own = counts.getOrDefault(link.ref(), new int[2]);
                return new PlannedLink(reaction.id().value(), link.ref().response().value(), words.get(link.ref()), part(link.ref()),
                        link.start().value(), index.placeTitle(link.start()), reaction.when(), technique.title(),
                        technique.checkpoints(), reaction.response(link.ref().response()).orElseThrow().cue(),
                        link.landing().value(), index.placeTitle(link.landing()),
                        NextView.of(index, NextStep.after(graph, link.landing(), starts)), link.seconds(), graph.worth(reaction),
                        List.of(own[0], own[1]));
            }).toList();
        }

        private String part(LinkRef link) {
            if (drill.opening().contains(link)) {
                return "opening";
            }
            return drill.finishes().contains(link) || drill.extension().contains(link) ? "finish" : "call";
        }

        private List<StretchView> stretches() {
            return plan.stretches().stream().map(stretch -> new StretchView(stretch.side().code(), stretch.steps().stream()
                    .map(step -> new StepView(step.kind().code(), step.link().map(numbers::get).orElse(null), step.fake().orElse(null),
                            step.from().bottom().code(), step.from().at().value(), step.to().at().value(), step.seconds()))
                    .toList())).toList();
        }

        private List<RoundView> rounds() {
            return plan.rounds().stream().map(round -> new RoundView(round.side().code(), round.bottom().code(),
                    round.place().value(), index.placeTitle(round.place()), round.seconds())).toList();
        }

        private VerdictView verdict(WhoMay.Verdict verdict) {
            return new VerdictView(verdict.asked().reaction().value(), title(verdict.asked()), verdict.taken().map(this::title).orElse(null),
                    verdict.because().stream().map(ReasonView::of).toList(), verdict.aboveLevel());
        }

        private String title(LinkRef link) {
            return index.reaction(link.reaction()).map(index::reactionTitle).orElse(link.reaction().value());
        }

        /** How each place is held, that of the rounds and fed ones too. */
        private List<FeedView> feeding(Set<Id> starts) {
            Set<Id> places = new LinkedHashSet<>(starts);
            plan.rounds().forEach(round -> places.add(round.place()));
            List<FeedView> found = new ArrayList<>();
            for (Id place : places) {
                index.situation(place).map(Situation::notes).filter(notes -> !notes.feeder().equals(Feeder.NONE))
                        .ifPresent(notes -> found.add(new FeedView(place.value(), index.placeTitle(place), notes.feeder())));
            }
            return found;
        }

        private List<String> cautions(List<PracticeLink> practised) {
            Set<String> cautions = new LinkedHashSet<>();
            cautions.add(drill.kind().caution());
            practised.stream().map(link -> index.reaction(link.ref().reaction()).orElseThrow().technique()).distinct()
                    .map(id -> index.technique(id).orElseThrow()).sorted(Comparator.comparing(Technique::title))
                    .forEach(technique -> cautions.addAll(technique.cautions()));
            return List.copyOf(cautions);
        }
    }
}
