package app.narrowgate.core.advice;

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
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.odds.SolvedMaps;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.RoundChain;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Slopes against central differences; late starts and resting places. */
class SlopesTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    static IntStream seeds() {
        return IntStream.range(2000, 2060);
    }

    /** Of a central difference. */
    private static final double STEP = 1e-4;

    /** Worth of the starts when the choices stay as they are: what a slope at fixed choices is about. */
    private static double fixedChoices(EscapeMap changed, SolvedMap choices) {
        Game game = SolvedMap.of(MapIndex.of(changed), choices.setting()).game();
        RoundChain chain = RoundChain.of(game, choices.solution());
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
        return map.with(Reaction.answer(r.id(), r.from(), r.technique(), r.needs(), r.seconds(), Likelihood.of(works),
                r.stuffed(), r.responses()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void slopesByWorksAgreeWithCentralDifferences(int seed) {
        SolvedMap solved = SolvedMaps.solved(seed);
        MapIndex index = solved.index();
        for (Sensitivities.OfReaction slope : AdjointSensitivity.of(solved).reactions()) {
            Reaction reaction = index.reaction(slope.reaction()).orElseThrow();
            double works = reaction.works().chance();
            if (works > 1 - STEP || works < STEP || reaction.responses().isEmpty()) {
                continue;
            }
            double up = fixedChoices(withWorks(index.map(), reaction, works + STEP), solved);
            double down = fixedChoices(withWorks(index.map(), reaction, works - STEP), solved);
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
        SolvedMap solved = SolvedMaps.solved(seed);
        MapIndex index = solved.index();
        for (Sensitivities.OfReaction slope : AdjointSensitivity.of(solved).reactions()) {
            Reaction reaction = index.reaction(slope.reaction()).orElseThrow();
            for (int i = 0; i < reaction.responses().size() && reaction.responses().size() > 1; i++) {
                double up = fixedChoices(index.map().with(withChance(reaction, i, STEP)), solved);
                double down = fixedChoices(index.map().with(withChance(reaction, i, -STEP)), solved);
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

    @Test
    void theLateCurveFalls() {
        MapFixture fixture = new MapFixture().situation("a", 3, "tap").reaction("a", 0.7, 1, Map.of(), "win*3", "tap*1");
        LateCurve curve = LateCurve.of(SolvedMap.of(MapIndex.of(fixture.map()), EVEN));
        assertThat(curve.delays()).hasSize(21).startsWith(0.0).endsWith(5.0);
        for (int i = 1; i < 21; i++) {
            assertThat(curve.start().get(i)).isLessThan(curve.start().get(i - 1));
        }
        assertThat(curve.situations().get(Id.of("a"))).isEqualTo(curve.start());
    }

    @Test
    void restIsTakenOrGoneOnFrom() {
        MapFixture fixture = new MapFixture().resting("half", PlaceKind.HALF).reaction("half", 1, "win*3", "tap*1")
                .resting("turtle", PlaceKind.HALF).reaction("turtle", 1, "win*1", "tap*3");
        List<RestAdvice> advice = RestAdvice.of(SolvedMap.of(MapIndex.of(fixture.map()), EVEN));
        assertThat(advice).extracting(RestAdvice::stop).containsExactly(false, true);
        assertThat(advice.get(0).goOn()).isCloseTo(0.75, within(1e-9));
    }
}
