package app.narrowgate.server.lesson;

import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.due.Due;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.ClassPlanner;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairPlanner;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.lesson.Turns;
import app.narrowgate.core.lesson.Unit;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.person.People;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Plans classes with what the gym knows: the roster, what hurts on the day, and what was practised in the classes before. */
@Service
public class LessonPlanner {

    /** What was practised longer ago than half a year counts as never practised. */
    private static final int REMEMBERED = 183;
    /** Days in which two who were partners should meet others first; our estimate. */
    private static final int LATELY = 21;
    /** What is due for fewer than one of so many is nothing for all of them; our estimate. */
    private static final int MANY = 3;
    /** Recalls that are asked for, those of the term among them: more would take the class's minutes from what is new. */
    private static final int MOST_DUE = 2;
    /** What costs less by being forgotten, of the worth of the starts, waits; our estimate. */
    private static final double MUCH = 0.003;
    /** Gates of one evening: each is given enough rounds for both sides. */
    private static final int MOST_GATES = 4;

    private final LessonStore lessons;
    private final People people;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final Wanting wanting;

    LessonPlanner(LessonStore lessons, People people, SolvedMaps solved, AnswerStore answers, Wanting wanting) {
        this.wanting = wanting;
        this.lessons = lessons;
        this.people = people;
        this.solved = solved;
        this.answers = answers;
    }

    /**
     * What comes of a class.
     *
     * @param id of the class, so that it is not taken for one before it
     */
    PlannedLesson plan(StoredMap map, UUID id, Lesson lesson, SignedIn by) {
        return plan(map, id, lesson, Optional.of(by));
    }

    /**
     * The same.
     *
     * @param shown who is shown what hurts people, where they may read that
     */
    PlannedLesson plan(StoredMap map, UUID id, Lesson lesson, Optional<SignedIn> shown) {
        return plan(map, id, lesson, false, shown);
    }

    /** A class that is over, as it came, or where it was not run as it was planned. */
    PlannedLesson asItWas(StoredMap map, UUID id, Lesson lesson, SignedIn by) {
        return asItWas(map, id, lesson, Optional.of(by));
    }

    /**
     * The same.
     *
     * @param shown who is shown what hurts people, where they may read that
     */
    PlannedLesson asItWas(StoredMap map, UUID id, Lesson lesson, Optional<SignedIn> shown) {
        return plan(map, id, lesson.asPlanned(), true, shown);
    }

    private PlannedLesson plan(StoredMap map, UUID id, Lesson lesson, boolean only, Optional<SignedIn> shown) {
        List<LessonRow> before = lessons.between(map.id(), lesson.day().minusDays(REMEMBERED), lesson.day()).stream()
                .filter(row -> !row.id().equals(id)).filter(row -> isBefore(row, lesson)).toList();
        List<Lesson> past = before.stream().map(LessonRow::lesson).filter(one -> !one.here().isEmpty()).toList();
        Optional<PlannedLesson.Last> last = before.stream().filter(row -> !row.lesson().here().isEmpty()).reduce((one, later) -> later)
                .map(row -> new PlannedLesson.Last(row.id(), row.lesson().title(), row.day(), row.lesson().here()));
        List<Student> students = students(lesson, past, last, shown);
        if (students.isEmpty()) {
            return new PlannedLesson(Optional.empty(), Map.of(), last, List.of(), List.of());
        }
        List<UUID> here = students.stream().map(Student::id).toList();
        List<Due.InClass> due = only ? List.of() : wanting.due(map, here, lesson.day());
        List<Id> lately = past.isEmpty() ? List.of() : past.get(past.size() - 1).shown();
        ClassRequest request = new ClassRequest(lesson.minutes(), lesson.focus(), lesson.shape(), students, lesson.fixed(),
                only ? List.of() : wished(map, lesson, here, due),
                lesson.out(), lately, only);
        Setting house = OddsQuestion.ofNobody(lesson.aim().map(Id::value).orElse(null), lesson.read(), lesson.late(), null, null)
                .toSetting(map.index());
        // The request is part of the question, so that nothing planned for others, or before they came, is ever given.
        ClassPlan plan = answers.answer(AnswerStore.Question.of(map, house, "class " + AnswerStore.shortName(request.toString())).takingTime(),
                () -> ClassPlanner.plan(request, house, setting -> solved.solved(map, setting)));
        return new PlannedLesson(Optional.of(plan), rounds(lesson, students, lately(lesson, past), plan), last,
                last.isEmpty() ? List.of() : students.stream().filter(Student::missed).map(Student::id).toList(), due);
    }

    /** What the term asks for; then in a gate evening the gates that are open, and what is due for many. */
    private List<String> wished(StoredMap map, Lesson lesson, List<UUID> here, List<Due.InClass> due) {
        List<String> wished = new ArrayList<>(lesson.term());
        if (lesson.usual().equals(Optional.of(ClassShape.Usual.GATE_EVENING))) {
            wanting.gates(map, here, lesson.day()).stream().limit(MOST_GATES).map(Unit::gate).forEach(wished::add);
        }
        long recalled = wished.stream().filter(key -> key.startsWith(Unit.recall())).count();
        due.stream().filter(one -> MANY * one.who().size() >= here.size() && one.cost() >= MUCH && lesson.focus().holds(place(map, one.reaction())))
                .limit(Math.max(0, MOST_DUE - recalled)).map(one -> Unit.recall(one.reaction())).forEach(wished::add);
        return wished.stream().distinct().toList();
    }

    private static Situation place(StoredMap map, Id reaction) {
        return map.index().situation(map.index().reaction(reaction).orElseThrow().from()).orElseThrow();
    }

    private static boolean isBefore(LessonRow row, Lesson lesson) {
        return row.day().isBefore(lesson.day()) || row.day().equals(lesson.day()) && row.lesson().starts().isBefore(lesson.starts());
    }

    private List<Student> students(Lesson lesson, List<Lesson> past, Optional<PlannedLesson.Last> last, Optional<SignedIn> shown) {
        List<Student> students = new ArrayList<>();
        for (People.InClass one : people.inClass(lesson.here(), lesson.day(), shown)) {
            Map<Id, Integer> practised = new HashMap<>();
            past.stream().filter(was -> was.here().contains(one.id()))
                    .forEach(was -> was.taught().forEach(id -> practised.put(id, days(was.day(), lesson.day()))));
            students.add(new Student(one.id(), one.person(), one.hurt(), practised,
                    last.isPresent() && !last.get().here().contains(one.id())));
        }
        return students;
    }

    private static int days(LocalDate from, LocalDate to) {
        return (int) ChronoUnit.DAYS.between(from, to);
    }

    /** Who works with whom in each part; a live part has a round for each change of partners. */
    private static Map<String, List<PairedRound>> rounds(Lesson lesson, List<Student> students, Map<Couple, Integer> lately, ClassPlan plan) {
        List<String> keys = new ArrayList<>();
        List<RoundWish> wishes = new ArrayList<>();
        for (ClassPlan.Line line : plan.lines()) {
            Section section = line.unit().section();
            if (section.practises()) {
                RoundWish wish = RoundWish.usual(section, line.unit().drill().map(Drill::kind), lesson.limit(), line.feeds(), Set.copyOf(line.missed()));
                int bouts = section == Section.LIVE ? Turns.bouts(line.minutes()) : 1;
                keys.addAll(Collections.nCopies(bouts, line.unit().key()));
                wishes.addAll(Collections.nCopies(bouts, wish));
            }
        }
        List<PairedRound> rounds = PairPlanner.plan(request(lesson, students, wishes, lately));
        Map<String, List<PairedRound>> byKey = new LinkedHashMap<>();
        for (int i = 0; i < rounds.size(); i++) {
            byKey.computeIfAbsent(keys.get(i), key -> new ArrayList<>()).add(rounds.get(i));
        }
        return byKey;
    }

    private static PairRequest request(Lesson lesson, List<Student> students, List<RoundWish> wishes, Map<Couple, Integer> lately) {
        return new PairRequest(students, wishes, here(lesson.together(), students), lesson.apart(), lesson.odd(), lately, lesson.turn());
    }

    /** How often two were in one group, by classes of the last weeks in which it was kept. */
    private static Map<Couple, Integer> lately(Lesson lesson, List<Lesson> past) {
        Map<Couple, Integer> times = new HashMap<>();
        past.stream().filter(was -> days(was.day(), lesson.day()) <= LATELY)
                .forEach(was -> was.came().stream().flatMap(came -> came.pairs().stream()).distinct().forEach(pair -> times.merge(pair, 1, Integer::sum)));
        return times;
    }

    /**
     * The groups of a round once others are here: whoever has gone is in none, and whoever has come, or has lost a partner, joins
     * one; the other groups stay as they are.
     *
     * @param lesson with those who are here now
     */
    List<List<UUID>> regrouped(Lesson lesson, RunLessons.Part part, List<List<UUID>> groups, SignedIn by) {
        List<Student> students = students(lesson, List.of(), Optional.empty(), Optional.of(by));
        Set<UUID> here = students.stream().map(Student::id).collect(Collectors.toSet());
        List<PairedRound.Group> kept = new ArrayList<>();
        Set<UUID> joining = new LinkedHashSet<>(students.stream().map(Student::id).toList());
        for (List<UUID> group : groups) {
            List<UUID> left = group.stream().filter(here::contains).toList();
            if (left.size() > 1 || left.size() == group.size()) {
                kept.add(new PairedRound.Group(left, List.of()));
                left.forEach(joining::remove);
            }
        }
        PairedRound round = new PairedRound(kept);
        RoundWish wish = RoundWish.usual(part.section(), part.drill(), lesson.limit(), part.feeds(), Set.of());
        for (UUID late : joining) {
            round = PairPlanner.join(request(lesson, students, List.of(wish), Map.of()), 0, round, late);
        }
        return round.groups().stream().map(PairedRound.Group::who).toList();
    }

    private static Set<Couple> here(Set<Couple> couples, List<Student> students) {
        Set<UUID> ids = new HashSet<>(students.stream().map(Student::id).toList());
        return couples.stream().filter(couple -> ids.contains(couple.one()) && ids.contains(couple.other())).collect(Collectors.toSet());
    }
}
