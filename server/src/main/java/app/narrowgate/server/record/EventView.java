package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.trait.Side;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/** An event as it is sent; the id is made on the device, so that sending it twice keeps it once. What a kind of event does not have is missing. */
@Schema(name = "RecordEvent")
record EventView(@NotNull UUID id, @NotBlank @Schema(allowableValues = {"round", "repetitions", "void"}) String kind, @NotNull Instant at,
        @Nullable @Schema(description = "Of a round: who was below; of repetitions: who did them") UUID person,
        @Nullable @Schema(description = "Who was on top") UUID partner,
        @Nullable @Size(max = 64) @Schema(description = "The place where it began") String start,
        @Nullable @Schema(allowableValues = {"left", "right"}) String side,
        @Nullable @Schema(description = "The kind of place where it ended; held where they were still held when the time was up",
                allowableValues = {"reversal", "counter", "standing", "guard", "half", "neutral", "turtle", "tap", "held"}) String ending,
        @Nullable @Size(max = 64) @Schema(description = "The very place where it ended") String endedIn,
        @Nullable @Min(1) @Max(3600) Integer seconds,
        @Nullable @Size(max = 64) @Schema(description = "The last answer that got going") String reaction,
        @Nullable @Size(max = 64) @Schema(description = "What they answered to it") String response,
        @Nullable @Schema(description = "True where it was noted that nothing got going") Boolean nothing,
        @Nullable @Size(max = 64) @Schema(description = "Of repetitions: what was repeated; reaction is the answer, where that is known") String technique,
        @Nullable @Schema(description = "first where they did it, second where they fed it", allowableValues = {"first", "second"}) String role,
        @Nullable @Min(1) @Max(10_000) Integer many, @Nullable @Min(0) @Max(10_000) @Schema(description = "How many of them came clean") Integer clean,
        @Nullable @Size(max = 400) @Schema(description = "The sign of the fault that was seen most") String fault,
        @Nullable @Schema(description = "Of an event that takes another one out: which one") UUID voids) {

    Event event() {
        return switch (kind) {
            case EventRow.ROUND -> new Event.Round(id, at, Optional.of(required(person, "who was below")), Optional.ofNullable(partner),
                    Id.of(required(start, "where it began")), Optional.ofNullable(side).map(code -> Coded.require(Side.class, "A side", code)),
                    ending(required(ending, "how it ended")), Optional.ofNullable(seconds), place(reaction), place(response), Boolean.TRUE.equals(nothing),
                    Optional.empty());
            case EventRow.REPETITIONS -> new Event.Repetitions(id, at, required(person, "who did them"), Id.of(required(technique, "what was repeated")),
                    place(reaction), Optional.ofNullable(side).map(code -> Coded.require(Side.class, "A side", code)),
                    Coded.require(Role.class, "A role", required(role, "whether they did it or fed it")), required(many, "how many there were"),
                    Optional.ofNullable(clean), Optional.ofNullable(fault));
            case EventRow.VOID -> new Event.Void(id, at, required(voids, "which event it takes out"));
            default -> throw new RefusedException("No event is called “%s”; it is a round, repetitions, or void.".formatted(kind));
        };
    }

    private Ending ending(String code) {
        if (code.equals(EventRow.HELD)) {
            if (endedIn != null) {
                throw new RefusedException("A round that ended while they were still held ended in no other place; leave the place away.");
            }
            return Ending.STILL_HELD;
        }
        return new Ending(Optional.of(Coded.require(PlaceKind.class, "An ending", code)), place(endedIn));
    }

    private static Optional<Id> place(String id) {
        return Optional.ofNullable(id).map(Id::of);
    }

    private static <T> T required(T value, String what) {
        if (value == null) {
            throw new RefusedException("An event lacks %s.".formatted(what));
        }
        return value;
    }
}
