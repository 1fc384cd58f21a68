package app.narrowgate.core.solve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.round.RoundSimulation;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Work that nobody wants any more, and work that would never end. */
class WorkBudgetTest {

    private static final Setting WIN = Setting.of(Id.of("win"));

    @AfterEach
    void forget() {
        Thread.interrupted();
    }

    private static MapIndex loop() {
        return MapIndex.of(new MapFixture().situation("a").situation("b")
                .reaction("a", 1, "b*50", "win*1").reaction("b", 1, "a*50", "tap*2").map());
    }

    @Test
    void whatIsSpentIsSpent() {
        WorkBudget budget = new WorkBudget(10);
        assertThat(budget.spend(9)).isTrue();
        assertThat(budget.spend(1)).isFalse();
    }

    @Test
    void anEliminationWithoutMeansSaysSo() {
        int[] row = {0, 1, 2};
        int[] target = {1, 0};
        double[] chance = {0.5, 0.5};
        double[] leak = {0.5, 0.5};
        assertThat(GthElimination.of(row, target, chance, leak, new WorkBudget(1_000_000)).solve(new double[] {1, 0})[0])
                .isEqualTo(4.0 / 3);
        assertThatThrownBy(() -> GthElimination.of(row, target, chance, leak, new WorkBudget(10)))
                .isInstanceOf(TangledException.class).hasMessageContaining("Split it into several maps");
    }

    @Test
    void aSolveHearsThatNobodyWantsIt() {
        Thread.currentThread().interrupt();
        assertThatThrownBy(() -> SolvedMap.of(loop(), WIN)).isInstanceOf(StoppedException.class);
        assertThat(Thread.currentThread().isInterrupted()).as("left for whoever runs the thread").isTrue();
    }

    /** Told to stop after the first of a million rounds, it tells no more progress. */
    @Test
    void aSimulationHearsItBetweenTwoRounds() {
        SolvedMap solved = SolvedMap.of(loop(), WIN);
        List<Integer> told = new ArrayList<>();
        assertThatThrownBy(() -> RoundSimulation.run(solved, Optional.empty(), 1_000_000, 0, 1, (done, of) -> {
            told.add(done);
            Thread.currentThread().interrupt();
        })).isInstanceOf(StoppedException.class);
        assertThat(told).containsExactly(0);
    }
}
