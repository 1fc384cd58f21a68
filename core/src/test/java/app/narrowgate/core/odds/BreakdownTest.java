package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Where the worth of a reaction comes from, on seeded random maps. */
class BreakdownTest {

    static IntStream seeds() {
        return IntStream.range(2000, 2060);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void theBreakdownAddsUpToTheWorth(int seed) {
        SolvedMap solved = SolvedMaps.solved(seed);
        OddsSolver.of(solved).situations().values().stream()
                .flatMap(at -> at.reactions().stream()).filter(ReactionOdds::usable).forEach(odds -> {
                    WorthBreakdown breakdown = Explainer.explain(solved, odds.reaction());
                    double chance = breakdown.parts().stream().mapToDouble(part -> part.branch().share()).sum();
                    double gained = breakdown.parts().stream().mapToDouble(WorthBreakdown.Part::gained).sum();
                    double lost = breakdown.parts().stream().mapToDouble(WorthBreakdown.Part::lost).sum();
                    assertThat(chance).isCloseTo(1, within(1e-9));
                    assertThat(gained).isCloseTo(odds.worth(), within(1e-9));
                    assertThat(lost).isCloseTo(1 - odds.worth(), within(1e-9));
                });
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
}
