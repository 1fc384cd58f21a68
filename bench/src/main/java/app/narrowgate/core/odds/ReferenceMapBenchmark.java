package app.narrowgate.core.odds;

import app.narrowgate.core.advice.LateCurve;
import app.narrowgate.core.gate.CutSearch;
import app.narrowgate.core.gate.GateSweep;
import app.narrowgate.core.gate.NarrowGates;
import app.narrowgate.core.gate.SmallestCut;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The demo gym's map: what an instructor waits for. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class ReferenceMapBenchmark {

    private MapIndex index;
    private Setting setting;
    private Game game;
    private Game habit;

    @Setup
    public void load() throws IOException {
        index = MapIndex.of(MapFolder.read(Path.of("demo/map")));
        setting = Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5);
        game = GameCompiler.compile(index, setting);
        habit = GameCompiler.compile(index, setting.withRead(0));
    }

    /** Compile, solve with bounds, and say what every reaction and response is worth. */
    @Benchmark
    public Odds wholeOdds() {
        return OddsSolver.solve(index, setting);
    }

    /** The compiled game solved with certified bounds. */
    @Benchmark
    public Object certifiedBounds() {
        return IntervalIterationSolver.solve(game);
    }

    /** The same, against a partner who always finds the worst answer. */
    @Benchmark
    public Object certifiedBoundsFullRead() {
        return IntervalIterationSolver.solve(GameCompiler.compile(index, setting.withRead(1)));
    }

    @Benchmark
    public NarrowGates gateSweep() {
        return GateSweep.sweep(SolvedMap.of(index, setting));
    }

    /** The smallest set that takes a quarter of the starts, proved: three reactions, of a size searched completely. */
    @Benchmark
    public SmallestCut smallestCut() {
        SolvedMap solved = SolvedMap.of(index, setting);
        return CutSearch.search(solved, 0.75 * solved.startWorth(), Progress.NONE);
    }

    /** How rounds end, from the chain of the best choices. */
    @Benchmark
    public RoundChain chainOfARound() {
        SolvedMap solved = SolvedMap.of(index, setting);
        return RoundChain.of(solved.game(), solved.solution());
    }

    @Benchmark
    public LateCurve lateCurve() {
        return LateCurve.of(SolvedMap.of(index, setting));
    }

    /** Without bounds and without a read, as the two below. */
    @Benchmark
    public Object habitPlainValueIteration() {
        return PlainValueIteration.solve(habit, 1e-9);
    }

    @Benchmark
    public Object habitCertifiedBounds() {
        return IntervalIterationSolver.solve(habit);
    }

    @Benchmark
    public double habitLinearProgram() {
        return LinearProgram.solve(habit);
    }
}
