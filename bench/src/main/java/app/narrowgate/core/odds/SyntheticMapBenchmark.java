package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
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

/** Growth: games of 1,000 to 1,000,000 responses, solved with certified bounds and by plain value iteration. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4)
@Measurement(iterations = 6)
@Fork(value = 1, jvmArgs = {"-Xmx300m", "-XX:ActiveProcessorCount=1"})
public class SyntheticMapBenchmark {

    @Param({"1000", "10000", "100000", "1000000"})
    public int responses;

    @Param({"0", "0.25"})
    public double read;

    private Game game;

    @Setup
    public void make() {
        game = SyntheticGames.of(responses, 7, read);
    }

    @Benchmark
    public Object certifiedBounds() {
        Solution solution = IntervalIterationSolver.solve(game);
        if (!solution.converged()) {
            throw new IllegalStateException("not converged");
        }
        return solution;
    }

    @Benchmark
    public Object plainValueIteration() {
        return PlainValueIteration.solve(game, 1e-9);
    }
}
