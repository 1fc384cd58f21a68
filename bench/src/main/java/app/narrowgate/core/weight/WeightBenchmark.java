package app.narrowgate.core.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.body.Transition;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.Map;
import java.util.Set;
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

/** One place of the demo gym's map weighed: as it is, with a hand and a foot trapped, with the seat lifted; and a way. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class WeightBenchmark {

    private Bodies low;
    private Bodies onTop;

    @Setup
    public void load() {
        EscapeMap map = MapFolder.read(Path.of("demo/map"));
        Postures postures = Postures.of(map);
        low = postures.get(Id.of("mount-low")).bodies();
        onTop = postures.get(Id.of("top-in-guard")).bodies();
    }

    private static Bodies nudged(Bodies rough) {
        return Relaxation.of(rough, Relaxation.NUDGE, Map.of());
    }

    @Benchmark
    public Weighing asItIs() {
        return Weighing.of(low, Set.of(), WeightBenchmark::nudged);
    }

    @Benchmark
    public Weighing handAndFootTrapped() {
        return Weighing.of(low, Set.of(Change.TRAP_HAND_LEFT, Change.TRAP_FOOT_LEFT), WeightBenchmark::nudged);
    }

    @Benchmark
    public Weighing seatLifted() {
        return Weighing.of(low, Set.of(Change.SEAT_UP), WeightBenchmark::nudged);
    }

    @Benchmark
    public Bodies aTallerPartner() {
        return Weighing.sized(low, new Sizes(70, 1.7, 90, 1.9), Relaxation::of);
    }

    @Benchmark
    public Transition aWayInFourPictures() {
        return Transition.of(low, onTop, 2);
    }
}
