package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CallOrderTest {

    private static int[][] pairs(List<Integer> order, int calls) {
        int[][] pairs = new int[calls][calls];
        for (int i = 0; i < order.size(); i++) {
            pairs[order.get(i)][order.get((i + 1) % order.size())]++;
        }
        return pairs;
    }

    /** de Bruijn sequence B(k,2): length k², each ordered pair of neighbours once round the circle. */
    @ParameterizedTest
    @CsvSource({"1,1", "2,7", "3,7", "4,8", "6,9", "12,3"})
    void asManyRepetitionsAsCallsIsADeBruijnSequence(int calls, long seed) {
        List<Integer> order = CallOrder.of(calls, calls, seed);
        assertThat(order).hasSize(calls * calls);
        for (int[] row : pairs(order, calls)) {
            assertThat(row).containsOnly(1);
        }
    }

    @ParameterizedTest
    @CsvSource({"2,1", "2,5", "3,1", "3,2", "3,8", "4,3", "4,10", "5,7", "6,1", "6,4"})
    void everyCallIsEquallyOftenAndPairsDifferByOneAtMost(int calls, int repetitions) {
        for (long seed = 0; seed < 20; seed++) {
            List<Integer> order = CallOrder.of(calls, repetitions, seed);
            for (int call = 0; call < calls; call++) {
                assertThat(Collections.frequency(order, call)).isEqualTo(repetitions);
            }
            int least = Integer.MAX_VALUE;
            int most = 0;
            for (int[] row : pairs(order, calls)) {
                for (int count : row) {
                    least = Math.min(least, count);
                    most = Math.max(most, count);
                }
            }
            assertThat(most - least).isLessThanOrEqualTo(1);
        }
    }

    @Test
    void theSeedDecides() {
        assertThat(CallOrder.of(3, 6, 1)).isEqualTo(CallOrder.of(3, 6, 1)).isNotEqualTo(CallOrder.of(3, 6, 2));
    }

    @ParameterizedTest
    @CsvSource({"0,1", "13,1", "3,0", "3,501", "-1,-1"})
    void refusesWhatCannotBeCalled(int calls, int repetitions) {
        assertThatThrownBy(() -> CallOrder.of(calls, repetitions, 1)).isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("between 1 and");
    }
}
