package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.term.ComingClass;
import app.narrowgate.core.term.TermPlan;
import app.narrowgate.core.term.TermPlanner;
import app.narrowgate.core.term.TermRequest;
import app.narrowgate.core.term.TermStudent;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
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

/** What a coach waits for before a class: minutes for forty who are all different, on the demo's map, and pairs for two hundred. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ClassBenchmark {

    private MapIndex index;
    private List<Student> forty;
    private List<Student> twoHundred;

    @Setup
    public void load() {
        index = MapIndex.of(MapFolder.read(Path.of("demo/map")));
        forty = room(40);
        twoHundred = room(200);
    }

    private static List<Student> room(int people) {
        Random random = new Random(people);
        List<Student> students = new ArrayList<>();
        for (int i = 0; i < people; i++) {
            students.add(new Student(new UUID(0, i + 1), new Person("Somebody " + i, Optional.of(Level.values()[random.nextInt(3)]),
                    Optional.of(50.0 + random.nextInt(60)), Optional.of(150.0 + random.nextInt(45)), AgeGroup.ADULTS, Optional.empty(),
                    Optional.empty(), ""), Set.of(), Map.of(), false));
        }
        return students;
    }

    /** Ninety minutes on everything, some seventy units. */
    @Benchmark
    public ClassPlan ninetyMinutesForForty() {
        return ClassPlanner.plan(new ClassRequest(90, Focus.EVERYTHING, ClassShape.Usual.STEP_BY_STEP.of(90), forty, Map.of(), Set.of(), List.of()),
                Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5), setting -> SolvedMap.of(index, setting));
    }

    /** Three classes a week for twelve weeks, for forty of whom each comes as often as they do. */
    @Benchmark
    public TermPlan twelveWeeksForForty() {
        Random random = new Random(12);
        LocalDate first = LocalDate.of(2026, 9, 1);
        List<ComingClass> classes = new ArrayList<>();
        for (int i = 0; i < 36; i++) {
            classes.add(new ComingClass(new UUID(1, i), first.plusDays(7L * (i / 3) + 2L * (i % 3)), Focus.EVERYTHING, 2, 2, Set.of(), Set.of(), Set.of()));
        }
        List<TermStudent> students = forty.stream().map(student -> new TermStudent(student,
                classes.stream().map(c -> 0.2 + 0.7 * random.nextDouble()).toList(), Map.of())).toList();
        return TermPlanner.plan(new TermRequest(first, first.plusWeeks(12), classes, students),
                Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5), setting -> SolvedMap.of(index, setting));
    }

    @Benchmark
    public List<PairedRound> tenRoundsForTwoHundred() {
        return PairPlanner.plan(new PairRequest(twoHundred, Collections.nCopies(10, RoundWish.usual(Section.LIVE, Optional.empty(), RoundWish.USUAL_LIMIT, Set.of(), Set.of())),
                Set.of(), Set.of(), PairRequest.Odd.THREE, Map.of(), 0));
    }
}
