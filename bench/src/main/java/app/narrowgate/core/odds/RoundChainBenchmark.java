package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.solve.Solution;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** How rounds end on synthetic maps: the chain of the best choices, every strongly connected part eliminated. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class RoundChainBenchmark {

    /** Ten responses a situation. */
    @Param({"1000", "10000", "20000"})
    public int responses;

    private Game game;
    private Solution solution;

    @Setup
    public void make() {
        game = SyntheticGames.of(responses, 7, 0.25);
        solution = IntervalIterationSolver.solve(game);
    }

    @Benchmark
    public RoundChain eliminated() {
        return RoundChain.of(game, solution);
    }
}
