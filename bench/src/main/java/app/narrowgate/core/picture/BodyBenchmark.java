package app.narrowgate.core.picture;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Joint;
import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Player;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
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

/** One posture of the demo gym's map: relaxed from rough points, nudged by a hand, drawn. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class BodyBenchmark {

    private static final JointOf HAND = new JointOf(Player.THEY, Joint.HAND_LEFT);

    private Postures.Worked worked;
    private Bodies rough;
    private Vector3D dragged;

    @Setup
    public void load() {
        EscapeMap map = MapFolder.read(Path.of("demo/map"));
        worked = Postures.of(map).get(Id.of("mount-low"));
        rough = worked.bodies().moved(Map.of(HAND, Vector3D.of(.05, .05, .1)));
        dragged = worked.bodies().at(HAND).add(Vector3D.of(.02, .01, .02));
    }

    @Benchmark
    public Bodies fromRoughPoints() {
        return Relaxation.of(rough);
    }

    @Benchmark
    public Bodies aHandDragged() {
        return Relaxation.of(worked.bodies(), Relaxation.NUDGE, Map.of(HAND, dragged));
    }

    @Benchmark
    public Picture drawn() {
        return Drawing.of(worked.bodies(), worked.view());
    }
}
