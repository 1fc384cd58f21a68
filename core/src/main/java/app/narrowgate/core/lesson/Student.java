package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * Somebody who is here.
 *
 * @param hurt what hurts on the day, as far as whoever plans may know of it
 * @param practised reaction to days since it was last practised in class, at least 0; those never practised are missing
 * @param missed true where they were not in the class before this one
 */
public record Student(UUID id, Person person, Set<Injury> hurt, Map<Id, Integer> practised, boolean missed) {

    public Student {
        hurt = Set.copyOf(hurt);
        practised = Map.copyOf(practised);
    }

    /** Their level; some years where nobody has written it down. */
    public Level level() {
        return person.level().orElse(Level.INTERMEDIATE);
    }

    /** Reactions that at least half of {@code students} have practised in a class. */
    public static Set<Id> known(List<Student> students) {
        Map<Id, Integer> by = new HashMap<>();
        students.forEach(student -> student.practised().keySet().forEach(id -> by.merge(id, 1, Integer::sum)));
        return by.entrySet().stream().filter(each -> 2 * each.getValue() >= students.size()).map(Map.Entry::getKey).collect(Collectors.toSet());
    }

    /** What a minute on a reaction counts for them. */
    double freshness(Id reaction) {
        return Optional.ofNullable(practised.get(reaction)).map(LearningCurve::freshness).orElse(1.0);
    }
}
