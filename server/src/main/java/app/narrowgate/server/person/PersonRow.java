package app.narrowgate.server.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;

/**
 * Somebody in the database; what is not known is null.
 *
 * @param version grows by one with each change
 * @param account by which they sign in, if they do
 * @param accountName what that account is called
 */
record PersonRow(UUID id, int version, String name, String level, Double weight, Double height, String age, String strong,
        LocalDate joined, String notes, UUID account, String accountName, Instant createdAt) {

    static PersonRow of(UUID id, int version, Person person, Instant createdAt) {
        return new PersonRow(id, version, person.name(), person.level().map(Level::code).orElse(null), person.weight().orElse(null),
                person.height().orElse(null), person.age().code(), person.strong().map(Side::code).orElse(null),
                person.joined().orElse(null), person.notes(), null, null, createdAt);
    }

    Person person() {
        return new Person(name, Optional.ofNullable(level).flatMap(code -> Coded.of(Level.class, code)), Optional.ofNullable(weight),
                Optional.ofNullable(height), Coded.of(AgeGroup.class, age).orElse(AgeGroup.ADULTS),
                Optional.ofNullable(strong).flatMap(code -> Coded.of(Side.class, code)), Optional.ofNullable(joined), notes);
    }
}
