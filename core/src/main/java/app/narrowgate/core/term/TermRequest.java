package app.narrowgate.core.term;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.lesson.ClassRequest;
import java.time.LocalDate;
import java.util.List;

/**
 * Weeks to be planned.
 *
 * @param today from which days are counted
 * @param end last day of the term, at which what is remembered is told; not before the last class
 * @param classes still to come, the first first
 */
public record TermRequest(LocalDate today, LocalDate end, List<ComingClass> classes, List<TermStudent> students) {

    /** Classes of a term that are planned together. */
    public static final int MOST_CLASSES = 60;

    public TermRequest {
        classes = List.copyOf(classes);
        students = List.copyOf(students);
        if (classes.size() > MOST_CLASSES) {
            throw new RefusedException("%d classes are still to come in this term; at most %d are planned together. Let it end earlier."
                    .formatted(classes.size(), MOST_CLASSES));
        }
        if (students.size() > ClassRequest.MOST_STUDENTS) {
            throw new RefusedException("A term is planned for at most %d people.".formatted(ClassRequest.MOST_STUDENTS));
        }
        LocalDate at = today;
        for (ComingClass one : classes) {
            if (one.day().isBefore(at) || one.day().isAfter(end)) {
                throw new RefusedException("The class of %s does not lie between %s and the end of the term, %s, in order.".formatted(one.day(), at, end));
            }
            at = one.day();
        }
        for (TermStudent student : students) {
            if (student.comes().size() != classes.size()) {
                throw new IllegalArgumentException("Impossible state: a student's chances are not those of the classes");
            }
        }
    }
}
