package app.narrowgate.server.standing;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.due.Due;
import app.narrowgate.core.due.Practice;
import app.narrowgate.core.ledger.Ledger;
import app.narrowgate.core.ledger.Repeated;
import app.narrowgate.core.ledger.Sides;
import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.lesson.StudentOdds;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.movingup.Evidence;
import app.narrowgate.core.movingup.Gate;
import app.narrowgate.core.movingup.GateList;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.drill.Learned;
import app.narrowgate.server.lesson.PastLessons;
import app.narrowgate.server.lesson.Wanting;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.person.People;
import app.narrowgate.server.record.RecordOdds;
import app.narrowgate.server.record.RecordStore;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Works out where people stand, from the classes that were, and from what was logged. What hurts them is not asked for. */
@Service
public class Standings implements Wanting, Learned {

    /** Days of classes that are looked at. */
    private static final int YEARS = 3 * 365;

    private final PastLessons lessons;
    private final RecordStore record;
    private final People people;
    private final SolvedMaps solved;
    private final GymAsks asks;
    private final AnswerStore answers;
    private final Clock clock;

    Standings(PastLessons lessons, RecordStore record, People people, SolvedMaps solved, GymAsks asks, AnswerStore answers, Clock clock) {
        this.clock = clock;
        this.answers = answers;
        this.lessons = lessons;
        this.record = record;
        this.people = people;
        this.solved = solved;
        this.asks = asks;
    }

    /** Everybody on the roster, by name. */
    List<Standing> everybody(StoredMap map, LocalDate today) {
        return everybody(map, today, today);
    }

    /**
     * One person.
     *
     * @throws app.narrowgate.server.problem.NotFoundException where they are not on the roster
     */
    Standing of(StoredMap map, UUID person, LocalDate today) {
        people.require(person);
        return of(map, people.everybody(), Optional.of(person), today, today).get(0);
    }

    @Override
    public List<Due.InClass> due(StoredMap map, Collection<UUID> here, LocalDate day) {
        Map<UUID, List<Due>> due = new LinkedHashMap<>();
        before(map, day).stream().filter(one -> here.contains(one.person().id())).forEach(one -> due.put(one.person().id(), one.due()));
        return Due.inClass(due);
    }

    @Override
    public List<Id> gates(StoredMap map, Collection<UUID> here, LocalDate day) {
        Map<UUID, List<Gate>> gates = new LinkedHashMap<>();
        before(map, day).stream().filter(one -> here.contains(one.person().id())).forEach(one -> gates.put(one.person().id(), one.gates()));
        return Gate.open(gates);
    }

    @Override
    public List<Practice> practised(StoredMap map, UUID account) {
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
        Optional<UUID> person = people.of(account);
        return people.everybody().stream().filter(one -> person.equals(Optional.of(one.id()))).findFirst()
                .map(one -> known(map, List.of(one), person, today, today).get(0).practised()).orElse(List.of());
    }

    /** As a day begins: what is logged in a class does not change what was planned for it. */
    private List<Standing> before(StoredMap map, LocalDate day) {
        return everybody(map, day, day.minusDays(1));
    }

    /** The gates for moving up of everybody on the roster, by person. */
    public Map<UUID, List<Gate>> gates(StoredMap map, LocalDate today) {
        Map<UUID, List<Gate>> gates = new LinkedHashMap<>();
        everybody(map, today).forEach(one -> gates.put(one.person().id(), one.gates()));
        return gates;
    }

    /** The gates for moving up from a level that the map would ask for. */
    public GateList suggested(StoredMap map, Level from) {
        Setting setting = RecordOdds.ofRounds(map.index());
        return GateList.suggested(from, solved.solved(map, setting.withMatchup(setting.matchup().withLevel(from))).converged());
    }

    /** Everybody, worked out once until something more is known. */
    private List<Standing> everybody(StoredMap map, LocalDate today, LocalDate until) {
        List<People.InClass> roster = people.everybody();
        String known = String.join(" ", roster.toString(), lessons.state(map.id()), record.stateBefore(map.id(), end(until)), asks.state(map.id()));
        return answers.answer(AnswerStore.Question.of(map, RecordOdds.ofRounds(map.index()), "standings %s %s %s".formatted(today, until,
                AnswerStore.shortName(known))).takingTime(), () -> of(map, roster, Optional.empty(), today, until));
    }

    /** @param until the last day of which anything is looked at */
    private List<Standing> of(StoredMap map, List<People.InClass> roster, Optional<UUID> only, LocalDate today, LocalDate until) {
        List<StudentOdds> odds = odds(map, roster);
        List<Standing> all = new ArrayList<>();
        known(map, roster, only, today, until).forEach(one -> all.add(one.standing(odds.get(roster.indexOf(one.person)), today)));
        return all;
    }

    /** What is known of those on the roster, or of only one of them. */
    private List<Person> known(StoredMap map, List<People.InClass> roster, Optional<UUID> only, LocalDate today, LocalDate until) {
        List<Lesson> past = lessons.between(map.id(), today.minusDays(YEARS), until, today);
        RecordStore.Seen seen = record.seen(map.id(), only, end(until));
        Map<UUID, List<RecordStore.Began>> rounds = seen.rounds().stream().collect(Collectors.groupingBy(RecordStore.Began::person));
        Map<UUID, List<Event.Repetitions>> repetitions = seen.repetitions().stream().collect(Collectors.groupingBy(Event.Repetitions::person));
        Map<UUID, List<RecordStore.Decided>> decisions = seen.decisions().stream().collect(Collectors.groupingBy(RecordStore.Decided::person));
        Map<Level, List<Id>> gates = new EnumMap<>(Level.class);
        return roster.stream().filter(person -> only.isEmpty() || only.get().equals(person.id()))
                .map(person -> new Person(map, person, past.stream().filter(one -> one.here().contains(person.id())).toList(),
                        rounds.getOrDefault(person.id(), List.of()), repetitions.getOrDefault(person.id(), List.of()),
                        decisions.getOrDefault(person.id(), List.of()), level -> gates.computeIfAbsent(level, from -> asks.gates(map, from))))
                .toList();
    }

    private static Instant end(LocalDate day) {
        return day.plusDays(1).atStartOfDay(ZoneOffset.UTC).toInstant();
    }

    private List<StudentOdds> odds(StoredMap map, List<People.InClass> roster) {
        Setting setting = RecordOdds.ofRounds(map.index());
        return answers.answer(AnswerStore.Question.of(map, setting, "odds of " + AnswerStore.shortName(roster.toString())),
                () -> StudentOdds.of(roster.stream().map(one -> new Student(one.id(), one.person(), Set.of(), Map.of(), false)).toList(), Focus.EVERYTHING,
                        setting, one -> solved.solved(map, one)));
    }

    /** What is known of one person. */
    private final class Person {

        private final StoredMap map;
        private final People.InClass person;
        private final List<Lesson> classes;
        private final List<RecordStore.Began> rounds;
        private final List<Event.Repetitions> repetitions;
        private final List<RecordStore.Decided> decisions;
        private final Function<Level, List<Id>> asked;

        Person(StoredMap map, People.InClass person, List<Lesson> classes, List<RecordStore.Began> rounds, List<Event.Repetitions> repetitions,
                List<RecordStore.Decided> decisions, Function<Level, List<Id>> asked) {
            this.map = map;
            this.person = person;
            this.classes = classes;
            this.rounds = rounds;
            this.repetitions = repetitions;
            this.decisions = decisions;
            this.asked = asked;
        }

        Standing standing(StudentOdds odds, LocalDate today) {
            Optional<LocalDate> last = Stream.of(classes.stream().map(Lesson::day), rounds.stream().map(one -> day(one.at())),
                    repetitions.stream().map(one -> day(one.at()))).flatMap(days -> days).max(Comparator.naturalOrder());
            Map<Gate, RecordStore.Decided> decided = new LinkedHashMap<>();
            return new Standing(person, last, rounds.size(), (int) rounds.stream().filter(RecordStore.Began::out).count(),
                    Due.of(odds, practised(), today), Ledger.of(repeated(), today), new Sides(live(Side.LEFT), live(Side.RIGHT)),
                    new Sides(clean(Side.LEFT), clean(Side.RIGHT)), gates(decided), decided, faults());
        }

        /** What was taught to them, counted of them, and seen of them in live rounds; a technique that was counted alone counts for all its answers. */
        private List<Practice> practised() {
            List<Practice> all = new ArrayList<>();
            classes.forEach(one -> one.taught().forEach(id -> all.add(Practice.inClass(one.day(), id))));
            done().forEach(one -> {
                one.reaction().map(Stream::of).orElseGet(() -> map.index().map().reactions().stream()
                        .filter(reaction -> reaction.technique().equals(one.technique())).map(Reaction::id))
                        .forEach(id -> all.add(new Practice(day(one.at()), id, counted(one), Tries.NONE)));
            });
            rounds.forEach(one -> one.reaction().ifPresent(id -> all.add(new Practice(day(one.at()), id, Tries.NONE, tried(one)))));
            return all;
        }

        private Stream<Event.Repetitions> done() {
            return repetitions.stream().filter(one -> one.role() == Role.FIRST);
        }

        /**
         * What was counted; and of classes what their minutes come to, but for what was counted on that day: of that role, and of that side or of
         * none.
         */
        private List<Repeated> repeated() {
            List<Repeated> all = new ArrayList<>();
            repetitions.forEach(one -> all.add(new Repeated(day(one.at()), one.technique(), one.side(), one.role(), one.many(),
                    one.clean().map(OptionalInt::of).orElse(OptionalInt.empty()), true)));
            Map<LocalDate, List<Event.Repetitions>> counted = repetitions.stream().collect(Collectors.groupingBy(one -> day(one.at())));
            classes.forEach(one -> one.asItWas().forEach(unit -> unit.reactions().stream().map(map.index()::reaction).flatMap(Optional::stream)
                    .flatMap(reaction -> Repeated.about(one.day(), reaction.technique(),
                            Repeated.minutes(unit.section(), unit.minutes(), unit.reactions().size()), reaction.seconds()).stream())
                    .filter(about -> counted.getOrDefault(one.day(), List.of()).stream().noneMatch(done -> isCounted(done, about)))
                    .forEach(all::add)));
            return all;
        }

        private static boolean isCounted(Event.Repetitions done, Repeated about) {
            return done.technique().equals(about.technique()) && done.role() == about.role() && (done.side().isEmpty() || done.side().equals(about.side()));
        }

        private Tries live(Side side) {
            return sum(rounds.stream().filter(one -> one.side().equals(Optional.of(side))).map(Standings::tried));
        }

        private Tries clean(Side side) {
            return sum(done().filter(one -> one.side().equals(Optional.of(side))).map(Standings::counted));
        }

        private List<Gate> gates(Map<Gate, RecordStore.Decided> decided) {
            String level = person.person().level().map(Coded::code).orElse("");
            List<Gate> gates = new ArrayList<>();
            for (Id place : person.person().level().map(asked).orElse(List.of())) {
                for (Side side : Side.values()) {
                    Optional<RecordStore.Decided> decision = decisions.stream().filter(one -> one.level().equals(level) && one.place().equals(place.value())
                            && one.side().equals(side.code())).findFirst();
                    Gate gate = new Gate(place, side, evidence(place, side), decision.map(one -> new Gate.Decision(one.shown(), one.reason())));
                    gates.add(gate);
                    decision.ifPresent(one -> decided.put(gate, one));
                }
            }
            return gates;
        }

        private Evidence evidence(Id place, Side side) {
            List<RecordStore.Began> here = rounds.stream().filter(one -> one.start().equals(place) && one.side().equals(Optional.of(side))).toList();
            List<Event.Repetitions> drilled = done().filter(one -> one.side().equals(Optional.of(side)) && one.reaction().flatMap(map.index()::reaction)
                    .filter(reaction -> reaction.from().equals(place)).isPresent()).toList();
            return new Evidence(sum(here.stream().map(Standings::tried)), sum(drilled.stream().map(Standings::counted)),
                    Stream.concat(here.stream().map(RecordStore.Began::at), drilled.stream().map(Event.Repetitions::at)).map(Standings::day)
                            .max(Comparator.naturalOrder()));
        }

        private List<Standing.Fault> faults() {
            Map<List<String>, List<Event.Repetitions>> seen = done().filter(one -> one.fault().isPresent())
                    .collect(Collectors.groupingBy(one -> List.of(one.technique().value(), one.fault().orElseThrow())));
            return seen.entrySet().stream().map(each -> new Standing.Fault(each.getKey().get(0), each.getKey().get(1), each.getValue().size(),
                    each.getValue().stream().map(one -> day(one.at())).max(Comparator.naturalOrder()).orElseThrow()))
                    .sorted(Comparator.comparing((Standing.Fault one) -> -one.times()).thenComparing(Standing.Fault::last, Comparator.reverseOrder())
                            .thenComparing(Standing.Fault::sign)).toList();
        }
    }

    private static Tries tried(RecordStore.Began round) {
        return new Tries(1, round.out() ? 1 : 0);
    }

    private static Tries counted(Event.Repetitions one) {
        return one.clean().map(well -> new Tries(one.many(), well)).orElse(Tries.NONE);
    }

    private static Tries sum(Stream<Tries> all) {
        return all.reduce(Tries.NONE, Tries::and);
    }

    private static LocalDate day(Instant at) {
        return LocalDate.ofInstant(at, ZoneOffset.UTC);
    }
}
