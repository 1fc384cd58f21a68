package app.narrowgate.server.person;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
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

    static PersonView of(PersonRow row, SignedIn who) {
        return new PersonView(row.id(), row.version(), row.name(), row.level(), row.weight(), row.height(), row.age(), row.strong(),
                row.joined(), who.may(Right.EDIT_PEOPLE) ? row.notes() : "", row.accountName() == null ? null : row.account(),
                row.accountName());
    }
}
