package app.narrowgate.server.lesson;

import app.narrowgate.core.due.Due;
import app.narrowgate.core.lesson.ClassPlan;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairedRound;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/**
 * What comes of a class.
 *
 * @param plan empty while nobody is here
 * @param rounds the pairs of each line of the plan that is practised, by the line's key; a live part has some for each change of partners
 * @param last the class before this one
 * @param absent of those who are here those who were not in the class before
 * @param due what is due for those who are here, what costs most first; empty for a class that is over
 */
public record PlannedLesson(Optional<ClassPlan> plan, Map<String, List<PairedRound>> rounds, Optional<Last> last, List<UUID> absent,
        List<Due.InClass> due) {

    /** The class before. */
    public record Last(UUID id, String title, LocalDate day, List<UUID> here) {
    }

    /** The same class with its plan in it. */
    Lesson in(Lesson lesson) {
        return lesson.planned(plan.map(made -> made.lines().stream().map(line -> new Lesson.Planned(line.unit().key(), line.unit().section(),
                line.minutes(), List.copyOf(line.unit().shares().keySet()))).toList()).orElse(List.of()));
    }
}
