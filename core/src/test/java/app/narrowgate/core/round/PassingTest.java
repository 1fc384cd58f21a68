package app.narrowgate.core.round;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class PassingTest {

    /** Random walk on 0..4 (Kemeny and Snell, "Finite Markov Chains"): N = [[1.5,1,.5],[1,2,1],[.5,1,1.5]]. */
    @Test
    void isTheFundamentalMatrixOfTheWalk() {
        MapIndex index = MapIndex.of(new MapFixture().situation("a").situation("b").situation("c")
                .reaction("a", 1, "tap", "b").reaction("b", 1, "a", "c").reaction("c", 1, "b", "win").map());
        Map<Id, Double> passing = Passing.of(SolvedMap.of(index, Setting.of(Id.of("win"))));
        // A third of the rounds starts in each: column sums over three.
        assertThat(passing.get(Id.of("a"))).isCloseTo(3 / 3.0, within(1e-9));
        assertThat(passing.get(Id.of("b"))).isCloseTo(4 / 3.0, within(1e-9));
        assertThat(passing.get(Id.of("c"))).isCloseTo(3 / 3.0, within(1e-9));
    }
}
