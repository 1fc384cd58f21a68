package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.ClassPlanner;
import app.narrowgate.core.lesson.ClassRequest;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairPlanner;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.PairedRound;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
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
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
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

    private final LessonStore lessons;
    private final People people;
    private final SolvedMaps solved;
    private final AnswerStore answers;

    LessonPlanner(LessonStore lessons, People people, SolvedMaps solved, AnswerStore answers) {
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
        List<LessonRow> before = lessons.between(map.id(), lesson.day().minusDays(REMEMBERED), lesson.day()).stream()
                .filter(row -> !row.id().equals(id)).filter(row -> isBefore(row, lesson)).toList();
        List<Lesson> past = before.stream().map(LessonRow::lesson).filter(one -> !one.here().isEmpty()).toList();
        Optional<PlannedLesson.Last> last = before.stream().filter(row -> !row.lesson().here().isEmpty()).reduce((one, later) -> later)
                .map(row -> new PlannedLesson.Last(row.id(), row.lesson().title(), row.day(), row.lesson().here()));
        List<Student> students = students(lesson, past, last, by);
        if (students.isEmpty()) {
            return new PlannedLesson(Optional.empty(), Map.of(), last, List.of());
        }
        List<Id> lately = past.isEmpty() ? List.of() : past.get(past.size() - 1).shown();
        ClassRequest request = new ClassRequest(lesson.minutes(), lesson.focus(), lesson.shape(), students, lesson.fixed(), lesson.out(), lately);
        Setting house = OddsQuestion.ofNobody(lesson.aim().map(Id::value).orElse(null), lesson.read(), lesson.late(), null, null)
                .toSetting(map.index());
        // The request is part of the question, so that nothing planned for others, or before they came, is ever given.
        ClassPlan plan = answers.answer(AnswerStore.Question.of(map, house, "class " + AnswerStore.shortName(request.toString())),
                () -> ClassPlanner.plan(request, house, setting -> solved.solved(map, setting)));
        return new PlannedLesson(Optional.of(plan), rounds(lesson, students, plan), last,
                last.isEmpty() ? List.of() : students.stream().filter(Student::missed).map(Student::id).toList());
    }

    private static boolean isBefore(LessonRow row, Lesson lesson) {
        return row.day().isBefore(lesson.day()) || row.day().equals(lesson.day()) && row.lesson().starts().isBefore(lesson.starts());
    }

    private List<Student> students(Lesson lesson, List<Lesson> past, Optional<PlannedLesson.Last> last, SignedIn by) {
        List<Student> students = new ArrayList<>();
        for (People.InClass one : people.inClass(lesson.here(), lesson.day(), by)) {
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

    private static Map<String, PairedRound> rounds(Lesson lesson, List<Student> students, ClassPlan plan) {
        List<ClassPlan.Line> practised = plan.lines().stream().filter(line -> line.unit().section().practises()).toList();
        List<RoundWish> wishes = practised.stream().map(line -> RoundWish.usual(line.unit().section(), lesson.limit(),
                line.not().stream().filter(not -> not.because() == ClassPlan.Because.CLOSED).map(ClassPlan.Not::student).collect(Collectors.toSet()),
                Set.copyOf(line.missed()))).toList();
        List<PairedRound> rounds = PairPlanner.plan(new PairRequest(students, wishes, here(lesson.together(), students), lesson.apart(), lesson.odd(),
                Map.of(), lesson.turn()));
        Map<String, PairedRound> byKey = new LinkedHashMap<>();
        for (int i = 0; i < rounds.size(); i++) {
            byKey.put(practised.get(i).unit().key(), rounds.get(i));
        }
        return byKey;
    }

    private static Set<Couple> here(Set<Couple> couples, List<Student> students) {
        Set<UUID> ids = new HashSet<>(students.stream().map(Student::id).toList());
        return couples.stream().filter(couple -> ids.contains(couple.one()) && ids.contains(couple.other())).collect(Collectors.toSet());
    }
}
