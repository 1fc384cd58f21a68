package app.narrowgate.core.term;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * Somebody who trains in the term.
 *
 * @param comes chance in [0,1] that they come to each coming class, in their order
 * @param practised reaction to the days on which they practised it in class, the first first
 */
public record TermStudent(Student student, List<Double> comes, Map<Id, List<LocalDate>> practised) {

    public TermStudent {
        comes = List.copyOf(comes);
        comes.forEach(chance -> Range.CHANCE.require("The chance that somebody comes", chance));
        practised = Map.copyOf(practised);
    }

    /** True where they have practised a reaction in a class before. */
    public boolean hasSeen(Id reaction) {
        return !practised.getOrDefault(reaction, List.of()).isEmpty();
    }
}
