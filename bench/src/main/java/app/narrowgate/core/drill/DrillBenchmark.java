package app.narrowgate.core.drill;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.exchange.drill.DrillJson;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
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

/** What a coach waits for on the bench, on the demo gym's map; links drawn at random lie as far apart as they can. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class DrillBenchmark {

    private PracticeGraph graph;
    private List<LinkRef> links;
    private Drill everyday;

    @Setup
    public void load() throws IOException {
        EscapeMap map = MapFolder.read(Path.of("demo/map"));
        graph = PracticeGraph.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5)),
                HouseTimes.USUAL);
        links = new ArrayList<>();
        map.situations().forEach(s -> graph.linksFrom(s.id()).forEach(link -> links.add(link.ref())));
        Collections.shuffle(links, new Random(1));
        everyday = DrillJson.read(Files.readString(Path.of("demo/drills/everyday.json")));
    }

    private Chain chain(int count, int repetitions) {
        return ChainMaker.make(graph, new ChainRequest(links.subList(0, count), repetitions, 1));
    }

    @Benchmark
    public Chain chainOfTwelve() {
        return chain(12, 2);
    }

    /** 240 repetitions: each link twice for each partner. */
    @Benchmark
    public Chain chainOfSixty() {
        return chain(60, 2);
    }

    @Benchmark
    public Chain chainOfTwoHundred() {
        return chain(200, 2);
    }

    /** Eleven minutes of the everyday drill, as planned for a pair. */
    @Benchmark
    public DrillPlan everydayDrill() {
        return DrillPlanner.plan(graph, everyday);
    }

    @Benchmark
    public List<LookAlike> lookAlikes() {
        return LookAlikes.of(graph);
    }

    @Benchmark
    public List<Proposal> proposals() {
        return Proposals.of(graph);
    }
}
