package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
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

/** What the record of a gym costs on the demo's map: rounds begin everywhere and end in every kind of place, against lighter and heavier people. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RecordBenchmark {

    private static final Instant NOW = Instant.parse("2026-11-28T12:00:00Z");

    private SolvedMap written;
    private List<Event.Round> term;
    private List<Event.Round> many;
    private List<Event.Round> noted;
    private Beliefs beliefs;
    private Event.Round another;

    @Setup
    public void load() {
        MapIndex index = MapIndex.of(MapFolder.read(Path.of("demo/map")));
        written = SolvedMap.of(index, Setting.of(Id.of("guard-or-better"))).converged();
        term = rounds(1_000, false);
        many = rounds(100_000, true);
        noted = noted(500);
        beliefs = new Learner(written).learn(Tally.of(term, NOW));
        another = term.get(17);
    }

    private List<Event.Round> rounds(int many, boolean gaps) {
        SplittableRandom random = new SplittableRandom(many);
        PlaceKind[] kinds = {PlaceKind.GUARD, PlaceKind.REVERSAL, PlaceKind.HALF, PlaceKind.TAP, PlaceKind.TAP, PlaceKind.STANDING};
        List<Id> starts = written.map().situations().stream().filter(one -> one.entry() > 0 && one.rest().isEmpty()).map(one -> one.id()).toList();
        List<Event.Round> rounds = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            rounds.add(new Event.Round(new UUID(1, i), NOW.minus(Duration.ofMinutes(random.nextInt(120_000))), somebody(random),
                    Optional.empty(), starts.get(random.nextInt(starts.size())), Optional.empty(), Ending.in(kinds[random.nextInt(kinds.length)]),
                    Optional.empty(), Optional.empty(), Optional.empty(), false, gaps ? Optional.of(random.nextInt(61) - 30.0) : Optional.empty()));
        }
        return rounds;
    }

    /** Rounds as they come on the map, half of them with their last answer, against partners of many weights. */
    private static Optional<UUID> somebody(SplittableRandom random) {
        return Optional.of(new UUID(0, 1 + random.nextInt(24)));
    }

    private List<Event.Round> noted(int many) {
        SplittableRandom random = new SplittableRandom(many);
        List<Event.Round> rounds = new ArrayList<>();
        for (TrueMat.Rolled rolled : new TrueMat(written, new Learner(written).before()::chosen, random.split()).rolls(many)) {
            boolean noting = random.nextBoolean();
            rounds.add(new Event.Round(new UUID(2, rounds.size()), NOW.minus(Duration.ofMinutes(random.nextInt(120_000))), somebody(random),
                    Optional.empty(), rolled.start(), Optional.empty(), Ending.in(rolled.kind()), Optional.empty(),
                    rolled.last().filter(last -> noting).map(LinkRef::reaction), rolled.last().filter(last -> noting).map(LinkRef::response),
                    noting && rolled.last().isEmpty(), Optional.of(random.nextInt(101) - 50.0)));
        }
        return rounds;
    }

    /** Twelve weeks of a gym that notes every second round. */
    @Benchmark
    public Beliefs notedTermIntoBeliefs() {
        return new Learner(written).learn(Tally.of(noted, NOW));
    }

    /** What a term of rounds with one tap each teaches, all pairs even. */
    @Benchmark
    public Beliefs termIntoBeliefs() {
        return new Learner(written).learn(Tally.of(term, NOW));
    }

    /** Years of rounds, with pairs of all gaps. */
    @Benchmark
    public Beliefs hundredThousandEventsIntoBeliefs() {
        return new Learner(written).learn(Tally.of(many, NOW));
    }

    /** One more round, from what is believed. */
    @Benchmark
    public Beliefs anotherEvent() {
        return new Learner(written).another(beliefs, another);
    }

    /** Odds with doubt: four hundred draws, each solved. */
    @Benchmark
    public Doubt fourHundredDraws() {
        return DoubtfulOdds.of(written, beliefs, DoubtfulOdds.DRAWS, 1).atTheStarts();
    }
}
