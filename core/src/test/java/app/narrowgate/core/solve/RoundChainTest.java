package app.narrowgate.core.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Arrays;
import org.junit.jupiter.api.Test;

/** The chain of a round against what is known in closed form. */
class RoundChainTest {

    /** Kemeny and Snell: expected visits of the walk on 0..4 from the middle are 1, 2, 1. */
    @Test
    void visitsAreARowOfTheFundamentalMatrix() {
        MapFixture fixture = new MapFixture().situation("s1").situation("s2").situation("s3")
                .reaction("s1", 1, "tap", "s2").reaction("s2", 1, "s1", "s3").reaction("s3", 1, "s2", "win");
        SolvedMap solved = SolvedMap.of(MapIndex.of(fixture.map()), Setting.of(Id.of("win")));
        double[][] expected = {{1.5, 1, 0.5}, {1, 2, 1}, {0.5, 1, 1.5}};
        for (int from = 0; from < 3; from++) {
            double[] start = new double[solved.game().places];
            start[from] = 1;
            RoundChain chain = RoundChain.of(solved.game(), solved.solution());
            double[] visits = chain.visits(start);
            for (int s = 0; s < 3; s++) {
                assertThat(visits[s]).isCloseTo(expected[from][s], within(1e-9));
            }
            double[] arrivals = chain.arrivals(start);
            assertThat(Arrays.copyOf(arrivals, 3)).containsExactly(Arrays.copyOf(visits, 3));
            assertThat(arrivals[solved.place(Id.of("win"))]).as("gambler's ruin, i/N").isCloseTo((from + 1) / 4.0,
                    within(1e-9));
            assertThat(arrivals[solved.place(Id.of("tap"))]).isCloseTo(1 - (from + 1) / 4.0, within(1e-9));
        }
    }
}
