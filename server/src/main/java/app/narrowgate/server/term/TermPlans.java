package app.narrowgate.server.term;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.term.Attendance;
import app.narrowgate.core.term.ComingClass;
import app.narrowgate.core.term.Halves;
import app.narrowgate.core.term.Missed;
import app.narrowgate.core.term.Term;
import app.narrowgate.core.term.TermPlan;
import app.narrowgate.core.term.TermPlanner;
import app.narrowgate.core.term.TermRequest;
import app.narrowgate.core.term.TermStudent;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.Attended;
import app.narrowgate.server.lesson.TermLessons;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.OddsQuestion;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.person.People;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Plans terms with what the gym knows: who came to its classes, what was practised in them, and who trains. */
@Service
public class TermPlans {

    /** What was practised longer ago than half a year counts as never practised. */
    private static final int REMEMBERED = 183;
    /** Days from which it is told who comes. */
    private static final int COMING = 84;

    /**
     * What comes of a term.
     *
     * @param classes all of its classes, in order
     * @param coming those of them that are still to come and are planned: the first of these, where there are very many
     * @param students whom it is planned for
     * @param attendance how often they come
     * @param plan empty while nobody trains
     * @param pairs answers of the term that belong together, with what each student has seen of them, in the students' order
     * @param missed what has to be made up for
     */
    record Planned(List<TermLessons.Dated> classes, List<TermLessons.Dated> coming, List<TermStudent> students, Attendance attendance,
            Optional<TermPlan> plan, Map<Halves.Pair, List<Halves.Seen>> pairs, List<Missed> missed) {
    }

    private final TermLessons lessons;
    private final Attended attended;
    private final People people;
    private final SolvedMaps solved;
    private final AnswerStore answers;

    TermPlans(TermLessons lessons, Attended attended, People people, SolvedMaps solved, AnswerStore answers) {
        this.lessons = lessons;
        this.attended = attended;
        this.people = people;
        this.solved = solved;
        this.answers = answers;
    }

    /** A term as it is planned. */
    Planned kept(StoredMap map, Term term, LocalDate today, SignedIn by) {
        return planned(map, term, today, false, by);
    }

    /** A term as it would be planned, around what whoever teaches the classes has fixed. */
    Planned proposed(StoredMap map, Term term, LocalDate today, SignedIn by) {
        return planned(map, term, today, true, by);
    }

    private Planned planned(StoredMap map, Term term, LocalDate today, boolean anew, SignedIn by) {
        List<TermLessons.Dated> classes = lessons.between(map.id(), term.first(), term.last());
        List<TermLessons.Dated> coming = classes.stream().filter(one -> !one.isOver(today)).limit(TermRequest.MOST_CLASSES).toList();
        List<Lesson> past = lessons.between(map.id(), today.minusDays(REMEMBERED), today).stream()
                .filter(one -> one.isOver(today) && !one.lesson().here().isEmpty()).map(TermLessons.Dated::lesson).toList();
        List<Attendance.Held> held = held(map, past, today);
        Set<UUID> who = who(held, coming);
        Attendance attendance = Attendance.of(held, who);
        List<TermStudent> students = students(who, past, coming, attendance, today, by);
        if (students.isEmpty()) {
            return new Planned(classes, coming, students, attendance, Optional.empty(), Map.of(), List.of());
        }
        Level most = students.stream().map(one -> one.student().level()).sorted().toList().get(students.size() / 2);
        TermRequest request = new TermRequest(today, today.isAfter(term.last()) ? today : term.last(), coming.stream().map(one -> {
            ComingClass open = ComingClass.of(one.id(), one.lesson(), most);
            return anew ? open : open.asked(one.lesson());
        }).toList(), students);
        Setting house = house(map, coming.isEmpty() ? classes : coming);
        String about = (anew ? "term anew " : "term ") + AnswerStore.shortName(request.toString());
        TermPlan plan = answers.answer(AnswerStore.Question.of(map, house, about).takingTime(), () -> anew
                ? TermPlanner.plan(request, house, setting -> solved.solved(map, setting))
                : TermPlanner.reckon(request, house, setting -> solved.solved(map, setting)));
        Map<Id, LocalDate> taught = taught(map, classes, today);
        return new Planned(classes, coming, students, attendance, Optional.of(plan), pairs(solved.solved(map, house), taught.keySet(), plan, students),
                Missed.of(taught, students, coming(plan)));
    }

    /** The classes of the last weeks, and days of which it was read in who came. Who came on the day of a class came to the first one of that day. */
    private List<Attendance.Held> held(StoredMap map, List<Lesson> past, LocalDate today) {
        LocalDate since = today.minusDays(COMING);
        Map<LocalDate, Set<UUID>> elsewhere = new TreeMap<>();
        attended.came(map.id(), since.atStartOfDay().toInstant(ZoneOffset.UTC), today.atStartOfDay().toInstant(ZoneOffset.UTC))
                .forEach(one -> elsewhere.computeIfAbsent(LocalDate.ofInstant(one.at(), ZoneOffset.UTC), day -> new LinkedHashSet<>()).add(one.person()));
        List<Attendance.Held> held = new ArrayList<>();
        past.stream().filter(one -> !one.day().isBefore(since)).forEach(one -> {
            Set<UUID> here = new LinkedHashSet<>(one.here());
            Optional.ofNullable(elsewhere.remove(one.day())).ifPresent(here::addAll);
            held.add(new Attendance.Held(one.day(), here));
        });
        elsewhere.forEach((day, here) -> held.add(new Attendance.Held(day, here)));
        return held.stream().sorted(Comparator.comparing(Attendance.Held::day)).toList();
    }

    /** Those who came to a class lately or are down for one; all grown-ups while nobody has come to any. */
    private Set<UUID> who(List<Attendance.Held> held, List<TermLessons.Dated> coming) {
        Set<UUID> who = new LinkedHashSet<>();
        held.forEach(one -> who.addAll(one.here()));
        coming.forEach(one -> who.addAll(one.lesson().here()));
        return who.isEmpty() ? new LinkedHashSet<>(people.named(AgeGroup.ADULTS).values()) : who;
    }

    private List<TermStudent> students(Set<UUID> who, List<Lesson> past, List<TermLessons.Dated> coming, Attendance attendance, LocalDate today,
            SignedIn by) {
        List<TermStudent> students = new ArrayList<>();
        for (People.InClass one : people.inClass(who, today, Optional.of(by))) {
            Map<Id, List<LocalDate>> practised = new HashMap<>();
            past.stream().filter(was -> was.here().contains(one.id()))
                    .forEach(was -> was.taught().forEach(id -> practised.computeIfAbsent(id, i -> new ArrayList<>()).add(was.day())));
            Map<Id, Integer> days = new HashMap<>();
            practised.forEach((id, on) -> days.put(id, (int) ChronoUnit.DAYS.between(on.get(on.size() - 1), today)));
            students.add(new TermStudent(new Student(one.id(), one.person(), one.hurt(), days, false),
                    coming.stream().map(c -> comes(one.id(), c.lesson(), attendance, today)).toList(), practised));
        }
        return students;
    }

    /** Who stands down for today's class comes; for later ones it is not said yet, whoever may be written down. */
    private static double comes(UUID person, Lesson lesson, Attendance attendance, LocalDate today) {
        boolean said = lesson.day().equals(today) && !lesson.here().isEmpty();
        return said ? lesson.here().contains(person) ? 1 : 0 : attendance.comes(person, lesson.day().getDayOfWeek());
    }

    private static Setting house(StoredMap map, List<TermLessons.Dated> classes) {
        Optional<Lesson> first = classes.stream().map(TermLessons.Dated::lesson).findFirst();
        return OddsQuestion.ofNobody(first.flatMap(Lesson::aim).map(Id::value).orElse(null), first.map(Lesson::read).orElse(0.0),
                first.map(Lesson::late).orElse(0.0), null, null).toSetting(map.index());
    }

    /** What was shown in the term's classes that are over and is still on the map, with the last day. */
    private static Map<Id, LocalDate> taught(StoredMap map, List<TermLessons.Dated> classes, LocalDate today) {
        Map<Id, LocalDate> taught = new LinkedHashMap<>();
        classes.stream().filter(one -> one.isOver(today)).forEach(one -> one.lesson().asItWas().stream()
                .filter(unit -> unit.section() == Section.NEW || unit.section() == Section.RECALL).flatMap(unit -> unit.reactions().stream())
                .filter(id -> map.index().reaction(id).isPresent()).forEach(id -> taught.put(id, one.lesson().day())));
        return taught;
    }

    private static Map<Id, List<Integer>> coming(TermPlan plan) {
        Map<Id, List<Integer>> coming = new TreeMap<>();
        plan.taught().forEach(one -> coming.put(one.reaction(), one.classes()));
        return coming;
    }

    private static Map<Halves.Pair, List<Halves.Seen>> pairs(SolvedMap solved, Set<Id> taught, TermPlan plan, List<TermStudent> students) {
        Map<Id, List<Integer>> coming = coming(plan);
        Set<Id> all = new LinkedHashSet<>(taught);
        plan.taught().stream().filter(one -> !one.classes().isEmpty()).forEach(one -> all.add(one.reaction()));
        Map<Halves.Pair, List<Halves.Seen>> pairs = new LinkedHashMap<>();
        Halves.among(solved, all).forEach(pair -> pairs.put(pair, students.stream().map(student -> Halves.seen(pair, student,
                coming.getOrDefault(pair.one(), List.of()), coming.getOrDefault(pair.other(), List.of()))).toList()));
        return pairs;
    }
}
