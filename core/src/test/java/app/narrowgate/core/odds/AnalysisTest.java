package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Everything that is computed beside the worth, on seeded random maps. */
class AnalysisTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));
    /** Of a central difference. */
    private static final double STEP = 1e-4;

    static IntStream seeds() {
        return IntStream.range(2000, 2060);
    }

    private static MapIndex random(int seed) {
        return MapIndex.of(RandomMaps.map(new Random(seed), 8, 3, 3));
    }

    private static Setting setting(int seed) {
        return EVEN.withRead(new double[] {0, 0.3, 1}[seed % 3]).withLate(0.25 * (seed % 4));
    }

    /** Worth of the starts when the choices stay as they are: what a slope at fixed choices is about. */
    private static double fixedChoices(MapIndex index, Setting setting, Solved choices) {
        Game game = GameCompiler.compile(index, setting);
        Solution fixed = new Solution(choices.solution().lower(), choices.solution().upper(),
                choices.solution().choice(), 0, true);
        RoundChain chain = RoundChain.of(game, fixed);
        double sum = 0;
        double[] starts = choices.starts();
        for (int place = 0; place < game.places; place++) {
            boolean[] here = new boolean[game.places];
            here[place] = true;
            if (game.worth[place] > 0) {
                double[] ending = chain.endingAt(here);
                for (int s = 0; s < game.situations; s++) {
                    sum += starts[s] * ending[s] * game.worth[place];
                }
            }
        }
        return sum;
    }

    private static EscapeMap withWorks(EscapeMap map, Reaction r, double works) {
        return map.with(new Reaction(r.id(), r.from(), r.technique(), r.needs(), r.seconds(), Likelihood.of(works),
                r.stuffed(), r.responses()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void slopesByWorksAgreeWithCentralDifferences(int seed) {
        MapIndex index = random(seed);
        Setting setting = setting(seed);
        Solved solved = Solved.of(index, setting);
        for (Sensitivities.OfReaction slope : AdjointSensitivity.of(index, setting).reactions()) {
            Reaction reaction = index.reaction(slope.reaction()).orElseThrow();
            double works = reaction.works().chance();
            if (works > 1 - STEP || reaction.responses().isEmpty()) {
                continue;
            }
            double up = fixedChoices(MapIndex.of(withWorks(index.map(), reaction, works + STEP)), setting, solved);
            double down = fixedChoices(MapIndex.of(withWorks(index.map(), reaction, works - STEP)), setting, solved);
            assertSlope(slope.perWorks(), up, down);
        }
    }

    /** Against the worth a step above and a step below. */
    private static void assertSlope(double slope, double up, double down) {
        double difference = (up - down) / (2 * STEP);
        assertThat(slope).isCloseTo(difference, within(1e-5 * Math.abs(difference) + 1e-6));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void slopesByChanceAgreeWithCentralDifferences(int seed) {
        MapIndex index = random(seed);
        Setting setting = setting(seed);
        Solved solved = Solved.of(index, setting);
        for (Sensitivities.OfReaction slope : AdjointSensitivity.of(index, setting).reactions()) {
            Reaction reaction = index.reaction(slope.reaction()).orElseThrow();
            for (int i = 0; i < reaction.responses().size() && reaction.responses().size() > 1; i++) {
                double up = fixedChoices(MapIndex.of(index.map().with(withChance(reaction, i, STEP))), setting, solved);
                double down = fixedChoices(MapIndex.of(index.map().with(withChance(reaction, i, -STEP))), setting, solved);
                assertSlope(slope.responses().get(i).perChance(), up, down);
            }
        }
    }

    /** The same reaction with one response's chance moved by {@code STEP}, the others in proportion. */
    private static Reaction withChance(Reaction reaction, int which, double STEP) {
        double total = reaction.responses().stream().mapToDouble(r -> r.often().weight()).sum();
        double chance = reaction.responses().get(which).often().weight() / total;
        List<Response> moved = new ArrayList<>();
        for (int i = 0; i < reaction.responses().size(); i++) {
            Response r = reaction.responses().get(i);
            double old = r.often().weight() / total;
            double now = i == which ? old + STEP : old * (1 - chance - STEP) / (1 - chance);
            moved.add(new Response(r.id(), r.cue(), Likelihood.of(now), r.leads()));
        }
        return reaction.withResponses(moved);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theBreakdownAddsUpToTheWorth(int seed) {
        MapIndex index = random(seed);
        Setting setting = setting(seed);
        OddsSolver.solve(index, setting).situations().values().stream()
                .flatMap(at -> at.reactions().stream()).filter(ReactionOdds::usable).forEach(odds -> {
                    WorthBreakdown breakdown = Explainer.explain(index, setting, odds.reaction());
                    double chance = breakdown.parts().stream().mapToDouble(WorthBreakdown.Part::chance).sum();
                    double gained = breakdown.parts().stream().mapToDouble(WorthBreakdown.Part::gained).sum();
                    double lost = breakdown.parts().stream().mapToDouble(WorthBreakdown.Part::lost).sum();
                    assertThat(chance).isCloseTo(1, within(1e-9));
                    assertThat(gained).isCloseTo(odds.worth(), within(1e-9));
                    assertThat(lost).isCloseTo(1 - odds.worth(), within(1e-9));
                });
    }

    /** Inside a 99.9 % interval: 3.29 standard errors, plus what rounds cut off could be worth. */
    @ParameterizedTest
    @MethodSource("seeds")
    void simulationAgreesWithTheSolver(int seed) {
        MapIndex index = random(seed);
        Setting setting = setting(seed);
        RoundSimulation rolled = RoundSimulation.run(index, setting, Optional.empty(), 20_000, 2, seed, Progress.NONE);
        double solved = OddsSolver.solve(index, setting).start();
        double error = Math.max(rolled.error(), Math.sqrt(solved * (1 - solved) / rolled.rounds()));
        assertThat(rolled.worth()).isCloseTo(solved, within(3.29 * error + rolled.cutOff() + 1e-9));
        assertThat(RoundSimulation.run(index, setting, Optional.empty(), 20_000, 2, seed, Progress.NONE))
                .isEqualTo(rolled);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theFlowKeepsEverybodyAndEndsWhereTheOddsSay(int seed) {
        MapIndex index = random(seed);
        Flow flow = Flow.of(index, setting(seed), Optional.empty(), 30);
        flow.exchanges().forEach(layer -> assertThat(layer.values().stream().mapToDouble(c -> c).sum())
                .isCloseTo(100, within(1.0)));
        assertThat(flow.links()).allMatch(link -> link.count() > 0 && link.count() <= 100 + 1e-9);
    }

    /** The sweep against solving a map from which the reaction has been struck. */
    @ParameterizedTest
    @MethodSource("seeds")
    void aGateIsWhatIsLostWhenTheReactionIsStruckFromTheMap(int seed) {
        MapIndex index = random(seed);
        Setting setting = setting(seed);
        NarrowGates gates = GateSweep.sweep(index, setting);
        for (NarrowGates.Gate gate : gates.gates()) {
            MapIndex struck = MapIndex.of(index.map().withoutReaction(gate.reaction()));
            assertThat(gate.startWithout()).isCloseTo(OddsSolver.solve(struck, setting).start(), within(1e-6));
        }
        assertThat(gates.gates()).isSortedAccordingTo((a, b) -> Double.compare(b.lost(), a.lost()));
    }

    /** The smallest set against trying every set, without thinking time so that taking away never helps. */
    @ParameterizedTest
    @MethodSource("seeds")
    void theSmallestCutIsTheSmallest(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 5, 2, 3));
        Setting setting = setting(seed).withThinking(ThinkingTime.NONE);
        double threshold = 0.7 * OddsSolver.solve(index, setting).start();
        SmallestCut cut = CutSearch.search(index, setting, threshold, Progress.NONE);
        List<Id> all = index.map().reactions().stream().map(Reaction::id).toList();
        int smallest = Integer.MAX_VALUE;
        for (int bits = 0; bits < 1 << all.size(); bits++) {
            Set<Id> taken = new HashSet<>();
            for (int i = 0; i < all.size(); i++) {
                if ((bits >> i & 1) == 1) {
                    taken.add(all.get(i));
                }
            }
            if (taken.size() < smallest && Solved.of(index, setting.without(taken)).startWorth() < threshold) {
                smallest = taken.size();
            }
        }
        if (cut.exact() && cut.found()) {
            assertThat(cut.reactions()).hasSize(smallest);
            assertThat(cut.startWithout()).isLessThan(threshold);
        } else if (!cut.found()) {
            assertThat(smallest).isGreaterThanOrEqualTo(cut.atLeast());
        } else {
            assertThat(cut.reactions().size()).isGreaterThanOrEqualTo(smallest);
        }
    }

    @Test
    void theLateCurveFalls() {
        MapFixture fixture = new MapFixture().situation("a", 3, "tap").reaction("a", 0.7, 1, Map.of(), "win*3", "tap*1");
        LateCurve curve = LateCurve.of(MapIndex.of(fixture.map()), EVEN);
        assertThat(curve.delays()).hasSize(21).startsWith(0.0).endsWith(5.0);
        for (int i = 1; i < 21; i++) {
            assertThat(curve.start().get(i)).isLessThan(curve.start().get(i - 1));
        }
        assertThat(curve.situations().get(Id.of("a"))).isEqualTo(curve.start());
    }

    @Test
    void aUselessSecondAnswerIsTrimmed() {
        MapFixture fixture = new MapFixture().situation("a", 2, "tap").reaction("a", 0.5, "win").reaction("a", 0.1, "win");
        NarrowGates gates = GateSweep.sweep(MapIndex.of(fixture.map()), EVEN);
        assertThat(gates.trims()).extracting(NarrowGates.Gate::reaction).containsExactly(Id.of("r2"));
    }

    /** Where a round never comes back to a situation, the first-order estimate is the loss itself. */
    @Test
    void withoutLoopsTheEstimateOfAGateIsExact() {
        MapFixture fixture = new MapFixture().situation("a", 3, "tap").reaction("a", 0.9, 1, Map.of(), "b*2", "win")
                .reaction("a", 0.8, 1, Map.of(), "tap*2", "win").situation("b", 4, "tap")
                .reaction("b", 1, 1, Map.of(), "win*3", "tap").reaction("b", 1, 2, Map.of(), "win", "tap");
        // A failed attempt comes back to where it began; here it ends.
        EscapeMap map = fixture.map();
        for (Reaction r : map.reactions()) {
            map = map.with(new Reaction(r.id(), r.from(), r.technique(), r.needs(), r.seconds(), r.works(),
                    Optional.of(Id.of("tap")), r.responses()));
        }
        MapIndex index = MapIndex.of(map);
        NarrowGates exact = GateSweep.sweep(index, EVEN);
        NarrowGates estimated = GateSweep.sweep(index, EVEN, Progress.NONE, 0);
        assertThat(exact.gates()).noneMatch(NarrowGates.Gate::estimated);
        for (NarrowGates.Gate gate : estimated.gates()) {
            assertThat(gate.estimated()).isTrue();
            assertThat(gate.lost()).as(gate.reaction().value()).isCloseTo(exact.gates().stream()
                    .filter(g -> g.reaction().equals(gate.reaction())).findFirst().orElseThrow().lost(), within(1e-5));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5})
    void whatIsSolvedForAfterScreeningIsTheSameAsInTheFullSweep(int seed) {
        MapIndex index = MapIndex.of(RandomMaps.map(new Random(seed), 6, 2, 3));
        NarrowGates full = GateSweep.sweep(index, EVEN);
        NarrowGates screened = GateSweep.sweep(index, EVEN, Progress.NONE, 4);
        assertThat(screened.gates()).filteredOn(g -> !g.estimated()).hasSize(Math.min(4, full.gates().size()))
                .isSubsetOf(full.gates());
    }

    @Test
    void restIsTakenOrGoneOnFrom() {
        MapFixture fixture = new MapFixture().resting("half", PlaceKind.HALF).reaction("half", 1, "win*3", "tap*1")
                .resting("turtle", PlaceKind.HALF).reaction("turtle", 1, "win*1", "tap*3");
        List<RestAdvice> advice = RestAdvice.of(MapIndex.of(fixture.map()), EVEN);
        assertThat(advice).extracting(RestAdvice::stop).containsExactly(false, true);
        assertThat(advice.get(0).goOn()).isCloseTo(0.75, within(1e-9));
    }

    @Test
    void aRoundIsToldInWords() {
        MapIndex index = MapIndex.of(new MapFixture().situation("a", 0.1, "b").situation("b").reaction("b", 1, "win").map());
        RoundSimulation rolled = RoundSimulation.run(index, EVEN.withThinking(ThinkingTime.NONE), Optional.of(Id.of("a")),
                1, 1, 1, Progress.NONE);
        List<String> words = StoryTeller.tell(index, rolled.stories().get(0));
        assertThat(words).containsExactly("0 s, Situation a: nothing is taught, they move on to “Situation b”.",
                "0 s, Situation b: “Technique”, and they answer: “Outcome win”.", "It ends: Outcome win.");
    }

    @Test
    void longWorkCanBeStopped() {
        MapIndex index = random(1);
        assertThatThrownBy(() -> GateSweep.sweep(index, EVEN, Progress.until(() -> true)))
                .isInstanceOf(StoppedException.class);
        assertThatThrownBy(() -> CutSearch.search(index, EVEN, 0.1, Progress.until(() -> true)))
                .isInstanceOf(StoppedException.class);
        assertThatThrownBy(() -> RoundSimulation.run(index, EVEN, Optional.empty(), 100, 0, 1,
                Progress.until(() -> true))).isInstanceOf(StoppedException.class);
    }

    /** ∫₀ᵗ P(T > x) dx by Simpson's rule on the survival function that is checked elsewhere. */
    @Test
    void theMeanOfTheEarlierIsTheIntegralOfBeingInTime() {
        for (double t : new double[] {0.3, 2, 6, 15}) {
            int n = 2000;
            double h = t / n;
            double sum = InTime.chance(0, 6) + InTime.chance(t, 6);
            for (int i = 1; i < n; i++) {
                sum += (i % 2 == 0 ? 2 : 4) * InTime.chance(i * h, 6);
            }
            assertThat(InTime.meanOfEarlier(t, 6)).isCloseTo(sum * h / 3, within(1e-9));
        }
        assertThat(InTime.meanOfEarlier(3, Double.POSITIVE_INFINITY)).isEqualTo(3);
        assertThat(InTime.meanOfEarlier(1e6, 6)).isCloseTo(6, within(1e-9));
    }

    /** Kemeny and Snell: expected visits of the walk on 0..4 from the middle are 1, 2, 1. */
    @Test
    void visitsAreARowOfTheFundamentalMatrix() {
        MapFixture fixture = new MapFixture().situation("s1").situation("s2").situation("s3")
                .reaction("s1", 1, "tap", "s2").reaction("s2", 1, "s1", "s3").reaction("s3", 1, "s2", "win");
        Solved solved = Solved.of(MapIndex.of(fixture.map()), Setting.of(Id.of("win")));
        double[][] expected = {{1.5, 1, 0.5}, {1, 2, 1}, {0.5, 1, 1.5}};
        for (int from = 0; from < 3; from++) {
            double[] start = new double[solved.game().places];
            start[from] = 1;
            RoundChain chain = RoundChain.of(solved.game(), solved.solution());
            double[] visits = chain.visits(start);
            for (int s = 0; s < 3; s++) {
                assertThat(visits[s]).isCloseTo(expected[from][s], within(1e-9));
            }
            double[] arrivals = chain.arrivals(start, visits);
            assertThat(Arrays.copyOf(arrivals, 3)).containsExactly(Arrays.copyOf(visits, 3));
            assertThat(arrivals[solved.places().get(Id.of("win"))]).as("gambler's ruin, i/N").isCloseTo((from + 1) / 4.0,
                    within(1e-9));
            assertThat(arrivals[solved.places().get(Id.of("tap"))]).isCloseTo(1 - (from + 1) / 4.0, within(1e-9));
        }
    }
}
