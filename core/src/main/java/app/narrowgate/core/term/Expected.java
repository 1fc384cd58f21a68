package app.narrowgate.core.term;

import app.narrowgate.core.lesson.LearningCurve;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.StudentOdds;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.memory.Grade;
import app.narrowgate.core.memory.Memory;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What is there at the end of a term of an answer that comes in some classes, for people who come or do not come to each of them, independently.
 * The minutes of every time that they are there move them along the {@link LearningCurve} of several weeks and make the {@link Memory} firmer; of
 * what they have gained so much is left at the end as is remembered. Exact over all ways to come: 2^times per student. Answers once asked are kept;
 * not for several threads.
 */
final class Expected {

    /** Where somebody stands with an answer. */
    private record Standing(Optional<Memory> memory, long day, double minutes) {

        Standing after(long at, boolean fresh) {
            double more = fresh ? ComingClass.NEW_MINUTES - Section.NEW.setUp() : ComingClass.RECALL_MINUTES - Section.RECALL.setUp();
            Memory firmer = memory.map(m -> m.after(Math.max(0, at - day), Grade.GOOD)).orElseGet(() -> Memory.first(Grade.GOOD));
            return new Standing(Optional.of(firmer), at, minutes + more);
        }

        double retention(long at) {
            return memory.map(m -> m.retention(Math.max(0, at - day))).orElse(0.0);
        }
    }

    /** What is told of somebody's standing at the end. */
    private interface Told {
        double of(Standing standing);
    }

    private record Asked(Id reaction, long classes) {
    }

    private final TermRequest request;
    private final List<StudentOdds> odds;
    private final Set<Id> known;
    private final List<LearningCurve> curves;
    private final long end;
    private final long[] days;
    private final Map<Asked, Double> worth = new HashMap<>();
    private final Map<Id, List<Standing>> begun = new HashMap<>();

    /**
     * @param known reactions that are recalled wherever they come; the others are new in the first class
     */
    Expected(TermRequest request, List<StudentOdds> odds, Set<Id> known) {
        this.request = request;
        this.known = Set.copyOf(known);
        this.odds = odds;
        this.curves = odds.stream().map(one -> LearningCurve.of(one.student().level()).overWeeks()).toList();
        this.end = day(request.end());
        this.days = request.classes().stream().mapToLong(one -> day(one.day())).toArray();
    }

    /** Worth that all students together have gained at the end of a reaction that comes in these classes, to first order. */
    double worth(Id reaction, long classes) {
        return worth.computeIfAbsent(new Asked(reaction, classes), asked -> {
            double sum = 0;
            for (int s = 0; s < odds.size(); s++) {
                StudentOdds student = odds.get(s);
                double slope = student.slope(reaction);
                if (slope > 0) {
                    double written = student.written(reaction);
                    LearningCurve curve = curves.get(s);
                    double now = student.works(reaction, written);
                    sum += slope * over(s, reaction, classes, at -> student.works(reaction, kept(at, written, curve)) - now);
                }
            }
            return sum;
        });
    }

    /** Share in [0,1] of those for whom a reaction is open who have it at the end. */
    double remembered(Id reaction, long classes) {
        double sum = 0;
        int open = 0;
        for (int s = 0; s < odds.size(); s++) {
            if (odds.get(s).slope(reaction) > 0) {
                sum += over(s, reaction, classes, at -> at.retention(end));
                open++;
            }
        }
        return open == 0 ? 0 : sum / open;
    }

    /** How often a reaction is expected to get going for a student at the end, once the map's conditions are left aside, in [0,1]. */
    double works(int student, Id reaction, long classes) {
        double written = odds.get(student).written(reaction);
        return over(student, reaction, classes, at -> kept(at, written, curves.get(student)));
    }

    private double kept(Standing at, double written, LearningCurve curve) {
        return written + (curve.after(written, at.minutes()) - written) * at.retention(end);
    }

    private double over(int student, Id reaction, long classes, Told told) {
        Standing begins = begun.computeIfAbsent(reaction, this::begun).get(student);
        return over(student, classes, !known.contains(reaction), begins, told);
    }

    private double over(int student, long classes, boolean fresh, Standing at, Told told) {
        if (classes == 0) {
            return told.of(at);
        }
        int next = Long.numberOfTrailingZeros(classes);
        long later = classes & classes - 1;
        double comes = request.students().get(student).comes().get(next);
        double sum = 0;
        if (comes > 0) {
            sum += comes * over(student, later, false, at.after(days[next], fresh), told);
        }
        return comes < 1 ? sum + (1 - comes) * over(student, later, false, at, told) : sum;
    }

    /** Where everybody stands after the classes that were. */
    private List<Standing> begun(Id reaction) {
        List<Standing> all = new ArrayList<>();
        for (int s = 0; s < odds.size(); s++) {
            Standing at = new Standing(Optional.empty(), 0, 0);
            for (LocalDate practised : request.students().get(s).practised().getOrDefault(reaction, List.of())) {
                at = at.after(day(practised), at.memory().isEmpty());
            }
            all.add(at);
        }
        return all;
    }

    private long day(LocalDate day) {
        return ChronoUnit.DAYS.between(request.today(), day);
    }
}
