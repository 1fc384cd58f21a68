package app.narrowgate.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.trait.Side;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Beside the midpoint rule, and by hand where that is possible. */
class SidesTest {

    private static final int STEPS = 20_000;

    private static double integrated(Tries left, Tries right) {
        BetaDistribution l = left.posterior();
        BetaDistribution r = right.posterior();
        return IntStream.range(0, STEPS).mapToDouble(i -> (i + 0.5) / STEPS).map(x -> r.density(x) * l.cumulativeProbability(x)).sum() / STEPS;
    }

    @ParameterizedTest
    @CsvSource({"0,0,0,0", "1,1,1,0", "10,4,12,9", "3,3,9,2", "40,20,40,28", "150,90,3,1"})
    void isWhatIntegrationGives(int leftOf, int left, int rightOf, int right) {
        Tries one = new Tries(leftOf, left);
        Tries other = new Tries(rightOf, right);
        double chance = new Sides(one, other).leftIsWeaker();
        assertThat(chance).isCloseTo(integrated(one, other), within(1e-6));
        assertThat(new Sides(other, one).leftIsWeaker()).isCloseTo(1 - chance, within(1e-9));
    }

    /** By hand: one success against one failure. The chance that x &lt; y with densities 2(1−x) and 2y is 5/6. */
    @Test
    void oneAgainstOneIsFiveOfSix() {
        assertThat(new Sides(new Tries(1, 0), new Tries(1, 1)).leftIsWeaker()).isCloseTo(5.0 / 6, within(1e-12));
    }

    @Test
    void aSideIsCalledWeakerOnlyWhereThatIsSure() {
        assertThat(new Sides(Tries.NONE, Tries.NONE).weaker()).isEmpty();
        assertThat(new Sides(new Tries(1, 0), new Tries(1, 1)).weaker()).isEmpty();
        assertThat(new Sides(new Tries(12, 3), new Tries(12, 9)).weaker()).contains(Side.LEFT);
        assertThat(new Sides(new Tries(12, 9), new Tries(12, 3)).weaker()).contains(Side.RIGHT);
    }
}
