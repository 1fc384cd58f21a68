package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

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
    Level level() {
        return person.level().orElse(Level.INTERMEDIATE);
    }

    /** What a minute on a reaction counts for them. */
    double freshness(Id reaction) {
        return Optional.ofNullable(practised.get(reaction)).map(LearningCurve::freshness).orElse(1.0);
    }
}
