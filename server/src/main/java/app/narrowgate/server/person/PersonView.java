package app.narrowgate.server.person;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.UUID;

/** Somebody on the roster; what is not known is missing. */
@Schema(name = "Person")
record PersonView(UUID id, @Schema(description = "Grows by one with each change") int version, String name,
        @Nullable @Schema(allowableValues = {"novice", "intermediate", "advanced"}) String level,
        @Nullable @Schema(description = "Kilograms") Double weight, @Nullable @Schema(description = "Centimetres") Double height,
        @Schema(allowableValues = {"adults", "children"}) String age,
        @Nullable @Schema(allowableValues = {"left", "right"}) String strong, @Nullable LocalDate joined,
        @Schema(description = "For those who teach; empty for everybody else") String notes,
        @Nullable @Schema(description = "The member that they sign in as, if they do") UUID account,
        @Nullable @Schema(description = "What that member is called") String accountName) {

    /** @param notes true where whoever asks may read what is noted of people */
    static PersonView of(PersonRow row, boolean notes) {
        return new PersonView(row.id(), row.version(), row.name(), row.level(), row.weight(), row.height(), row.age(), row.strong(),
                row.joined(), notes ? row.notes() : "", row.accountName() == null ? null : row.account(),
                row.accountName());
    }
}
