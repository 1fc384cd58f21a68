package app.narrowgate.core.term;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Prerequisites;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.lesson.StudentOdds;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Plans the classes of a term: which answer is new in which class and in which it is recalled, so that what is remembered at the end gains those
 * who train most, given how often they come. What an answer needs comes before it, and the days from one of its classes to the next always grow. The gains of
 * different answers are added up, to first order, in the choosing; the sum that is told is solved for.
 *
 * <p>Sharing out the classes is a packing problem in which an answer's gain depends on all its classes at once; it is climbed, not solved: a greedy
 * start, then answers are placed anew and exchanged until nothing of that kind is better ({@link Timetable}). It is compared with the best there
 * is in the tests. Deterministic. Cost: one solve for each kind of student and two for each student; some thousand evaluations of
 * {@link Expected}.
 */
public final class TermPlanner {

    /** Answers that are looked at; those behind them gain little. */
    static final int MOST_ANSWERS = 48;
    private static final int MOST_LEFT_OUT = 8;
    /** What promises less than this share of the best is not worth a class. */
    private static final double WORTH_A_CLASS = 0.005;

    private final TermRequest request;
    private final List<StudentOdds> odds;
    private final MapIndex index;
    private final Set<Id> known;
    private final List<Id> answers;
    private final Map<Id, Id> needs;
    private final Expected expected;
    private final Timetable timetable;

    private TermPlanner(TermRequest request, Setting house, Function<Setting, SolvedMap> solve) {
        if (request.students().isEmpty()) {
            throw new RefusedException("Nobody is on the roster whom a term could be planned for; write down who trains.");
        }
        this.request = request;
        List<Student> students = request.students().stream().map(TermStudent::student).toList();
        this.odds = StudentOdds.of(students, Focus.EVERYTHING, house, solve);
        this.index = solve.apply(house).index();
        this.known = Student.known(students);
        this.answers = answers();
        Set<Id> begins = index.map().situations().stream().filter(s -> s.entry() > 0).map(Situation::id).collect(Collectors.toSet());
        this.needs = Prerequisites.among(index, begins, answers.stream().filter(id -> !known.contains(id)).toList());
        this.expected = new Expected(request, odds, known);
        this.timetable = new Timetable(request.classes(), answers.stream().map(this::entry).toList(), expected::worth);
    }

    /**
     * What is left at the end with what is fixed in the coming classes, and nothing else.
     *
     * @throws RefusedException when nobody trains
     */
    public static TermPlan reckon(TermRequest request, Setting house, Function<Setting, SolvedMap> solve) {
        return new TermPlanner(request, house, solve).told();
    }

    /**
     * The weeks that leave most.
     *
     * @param house under what the house reckons; everybody's own size, level and injuries take the place of its matchup's
     * @param solve gives the map under a setting, solved
     * @throws RefusedException when nobody trains or no class is still to come
     */
    public static TermPlan plan(TermRequest request, Setting house, Function<Setting, SolvedMap> solve) {
        if (request.classes().isEmpty()) {
            throw new RefusedException("No class of this term is still to come; put some on the calendar, and what they hold is worked out.");
        }
        TermPlanner planner = new TermPlanner(request, house, solve);
        planner.timetable.fill();
        return planner.told();
    }

    /** What gains somebody something, most first; what is fixed in a class in any case. */
    private List<Id> answers() {
        Map<Id, Double> promise = new HashMap<>();
        for (Reaction reaction : index.map().reactions()) {
            double sum = odds.stream().mapToDouble(student -> student.promise(reaction.id(), ComingClass.NEW_MINUTES)).sum();
            boolean asked = request.classes().stream()
                    .anyMatch(one -> one.fixed().contains(reaction.id()) || one.recalled().contains(reaction.id()));
            if (asked || sum > 0 && (known.contains(reaction.id()) || request.classes().stream().anyMatch(one -> isAbout(one, reaction.id())))) {
                promise.put(reaction.id(), asked ? Double.POSITIVE_INFINITY : sum);
            }
        }
        double best = promise.values().stream().filter(Double::isFinite).mapToDouble(p -> p).max().orElse(0);
        return promise.keySet().stream().filter(id -> promise.get(id) >= WORTH_A_CLASS * best)
                .sorted(Comparator.comparingDouble((Id id) -> promise.get(id)).reversed().thenComparing(Id::value)).limit(MOST_ANSWERS).toList();
    }

    private boolean isAbout(ComingClass one, Id reaction) {
        return one.focus().holds(index.situation(index.reaction(reaction).orElseThrow().from()).orElseThrow());
    }

    private Timetable.Entry entry(Id answer) {
        long fresh = 0;
        long out = 0;
        long must = 0;
        Optional<Integer> begins = Optional.empty();
        for (int c = 0; c < request.classes().size(); c++) {
            ComingClass one = request.classes().get(c);
            fresh |= isAbout(one, answer) ? 1L << c : 0;
            out |= one.out().contains(answer) ? 1L << c : 0;
            must |= one.fixed().contains(answer) || one.recalled().contains(answer) ? 1L << c : 0;
            if (begins.isEmpty() && !known.contains(answer) && one.fixed().contains(answer)) {
                begins = Optional.of(c);
            }
        }
        return new Timetable.Entry(answer, known.contains(answer), Optional.ofNullable(needs.get(answer)).map(answers::indexOf), fresh, out, must, begins);
    }

    private TermPlan told() {
        List<TermPlan.Taught> taught = new ArrayList<>();
        double now = 0;
        double without = 0;
        double end = 0;
        for (int a = 0; a < answers.size(); a++) {
            long classes = timetable.classes(a);
            if (classes != 0 || isBegun(answers.get(a))) {
                Id id = answers.get(a);
                taught.add(new TermPlan.Taught(id, Timetable.numbers(classes), classes != 0 && !known.contains(id), expected.remembered(id, classes),
                        expected.remembered(id, 0), (expected.worth(id, classes) - expected.worth(id, 0)) / odds.size()));
            }
        }
        taught.sort(Comparator.comparing((TermPlan.Taught one) -> one.classes().isEmpty() ? request.classes().size() : one.classes().get(0)));
        for (int s = 0; s < odds.size(); s++) {
            now += odds.get(s).now();
            without += odds.get(s).worth(works(s, false));
            end += odds.get(s).worth(works(s, true));
        }
        return new TermPlan(taught, now / odds.size(), without / odds.size(), end / odds.size(), leftOut());
    }

    private boolean isBegun(Id answer) {
        return request.students().stream().anyMatch(student -> student.hasSeen(answer));
    }

    private Map<Id, Double> works(int student, boolean planned) {
        Map<Id, Double> works = new HashMap<>();
        for (int a = 0; a < answers.size(); a++) {
            long classes = planned ? timetable.classes(a) : 0;
            if (classes != 0 || request.students().get(student).hasSeen(answers.get(a))) {
                works.put(answers.get(a), expected.works(student, answers.get(a), classes));
            }
        }
        return works;
    }

    private List<TermPlan.LeftOut> leftOut() {
        List<TermPlan.LeftOut> all = new ArrayList<>();
        for (int a = 0; a < answers.size() && all.size() < MOST_LEFT_OUT; a++) {
            Id answer = answers.get(a);
            if (timetable.classes(a) == 0 && !known.contains(answer)) {
                Optional<Id> lacks = Optional.ofNullable(needs.get(answer)).filter(need -> timetable.classes(answers.indexOf(need)) == 0);
                double once = timetable.once(a);
                TermPlan.Reason reason = lacks.isPresent() ? TermPlan.Reason.NEEDS_ANOTHER : once == 0 ? TermPlan.Reason.NO_CLASS : TermPlan.Reason.NO_ROOM;
                all.add(new TermPlan.LeftOut(answer, reason, once / odds.size(), lacks));
            }
        }
        return all;
    }
}
