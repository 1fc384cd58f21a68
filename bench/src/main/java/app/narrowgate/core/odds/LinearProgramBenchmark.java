package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
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

/** Games small enough for the linear program of a general library, beside the solver. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 20)
@Measurement(iterations = 10)
@Fork(1)
public class LinearProgramBenchmark {

    @Param({"1000", "4000", "10000"})
    public int responses;

    private Game game;

    @Setup
    public void make() {
        game = SyntheticGames.of(responses, 7, 0);
    }

    @Benchmark
    public double linearProgram() {
        return LinearProgram.solve(game);
    }

    @Benchmark
    public Object certifiedBounds() {
        return IntervalIterationSolver.solve(game);
    }
}
