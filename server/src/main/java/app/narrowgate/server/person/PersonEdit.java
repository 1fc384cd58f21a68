package app.narrowgate.server.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.Optional;

/** What is known of somebody; what is not is missing. */
@Schema(name = "PersonEdit")
record PersonEdit(@NotBlank @Size(max = 90) String name,
        @Nullable @Schema(allowableValues = {"novice", "intermediate", "advanced"}) String level,
        @Nullable @Schema(description = "Kilograms") Double weight, @Nullable @Schema(description = "Centimetres") Double height,
        @NotBlank @Schema(allowableValues = {"adults", "children"}) String age,
        @Nullable @Schema(allowableValues = {"left", "right"}) String strong, @Nullable LocalDate joined,
        @NotNull @Size(max = 1000) String notes) {

    static PersonEdit of(Person person) {
        return new PersonEdit(person.name(), person.level().map(Level::code).orElse(null), person.weight().orElse(null),
                person.height().orElse(null), person.age().code(), person.strong().map(Side::code).orElse(null),
                person.joined().orElse(null), person.notes());
    }

    /**
     * The person.
     *
     * @throws app.narrowgate.core.check.RefusedException naming what does not do
     */
    Person person() {
        return new Person(Text.tidy(name).strip(), Optional.ofNullable(level).map(code -> Coded.require(Level.class, "The level", code)),
                Optional.ofNullable(weight), Optional.ofNullable(height), Coded.require(AgeGroup.class, "The age", age),
                Optional.ofNullable(strong).map(code -> Coded.require(Side.class, "The strong side", code)), Optional.ofNullable(joined),
                Text.tidy(notes).strip());
    }
}
