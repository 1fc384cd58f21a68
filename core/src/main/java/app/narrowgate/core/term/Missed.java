package app.narrowgate.core.term;

import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/**
 * Something that was taught in the term and that some of those who train have not practised: what has to be made up for.
 *
 * @param taught the last day on which it was taught
 * @param who those who have not practised it
 * @param next number of the coming class in which it comes again; empty where it does not
 * @param helper who can show it, the most experienced of those who have practised it; empty where nobody has
 */
public record Missed(Id reaction, LocalDate taught, List<UUID> who, Optional<Integer> next, Optional<UUID> helper) {

    public Missed {
        who = List.copyOf(who);
    }

    /**
     * All that was missed, what most have missed first.
     *
     * @param taught reaction to the last day of the term on which it was taught
     * @param coming reaction to the numbers of the coming classes in which it comes, in order
     */
    public static List<Missed> of(Map<Id, LocalDate> taught, List<TermStudent> students, Map<Id, List<Integer>> coming) {
        List<Missed> all = new ArrayList<>();
        taught.forEach((reaction, day) -> {
            Set<UUID> seen = new HashSet<>();
            students.stream().filter(student -> student.hasSeen(reaction)).forEach(student -> seen.add(student.student().id()));
            List<UUID> who = students.stream().map(student -> student.student().id()).filter(id -> !seen.contains(id)).toList();
            if (!who.isEmpty()) {
                Optional<UUID> helper = students.stream().map(TermStudent::student).filter(student -> seen.contains(student.id()))
                        .max(Comparator.comparing(Student::level)
                                .thenComparing(student -> student.person().name(), Comparator.reverseOrder())).map(Student::id);
                all.add(new Missed(reaction, day, who, coming.getOrDefault(reaction, List.of()).stream().findFirst(), helper));
            }
        });
        return all.stream().sorted(Comparator.comparing((Missed one) -> -one.who().size()).thenComparing(Missed::reaction)).toList();
    }
}
