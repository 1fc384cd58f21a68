package app.narrowgate.server.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.trait.Side;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A drill as it is designed; the fields of the open format. */
@Schema(name = "Drill")
public record DrillView(@NotNull @Size(max = 90) String title,
        @NotNull @Schema(allowableValues = {"solo", "fixed", "step-limited", "chain", "round-pattern", "called", "until-out", "staged",
            "dial", "discovery", "live", "gate"}) String kind,
        @Nullable @Size(max = 64) String place, @NotNull @Size(max = 60) List<@NotNull @Valid LinkView> opening,
        @NotNull @Size(max = 60) List<@NotNull @Valid LinkView> links, @NotNull @Size(max = 60) List<@NotNull @Valid LinkView> finishes,
        @NotNull @Size(max = 60) List<@NotNull @Valid LinkView> extension, @NotNull @Size(max = 4) List<@NotNull @Size(max = 90) String> fakes,
        @Min(1) @Max(500) int least, @Min(1) @Max(500) int most, @Min(1) @Max(200) int repetitions,
        @DecimalMin("1") @DecimalMax("60") double minutes,
        @NotNull @Size(min = 1, max = 2)
        @ArraySchema(schema = @Schema(allowableValues = {"left", "right"})) List<@NotNull @Size(max = 10) String> sides,
        @NotNull @Size(max = 400) String note, @Min(0) @Max(999_999) int seed) {

    /** A link, and what the feeder shouts for it if that is not to be taken from the map. */
    @Schema(name = "DrillLink")
    public record LinkView(@NotBlank @Size(max = 64) String reaction, @NotBlank @Size(max = 64) String response,
            @Nullable @Size(max = 90) String word) {
        LinkRef ref() {
            return new LinkRef(Id.of(reaction), Id.of(response));
        }
    }

    /** As it is sent. */
    public static DrillView of(Drill drill) {
        return new DrillView(drill.title(), drill.kind().code(), drill.place().map(Id::value).orElse(null),
                links(drill, drill.opening()), links(drill, drill.links()), links(drill, drill.finishes()),
                links(drill, drill.extension()), drill.fakes(), drill.least(), drill.most(), drill.repetitions(), drill.minutes(),
                drill.sides().stream().map(Side::code).toList(), drill.note(), (int) drill.seed());
    }

    private static List<LinkView> links(Drill drill, List<LinkRef> links) {
        return links.stream().map(l -> new LinkView(l.reaction().value(), l.response().value(), drill.words().get(l))).toList();
    }

    /** The drill. */
    Drill toDrill() {
        Map<LinkRef, String> words = new LinkedHashMap<>();
        for (List<LinkView> list : List.of(opening, links, finishes, extension)) {
            for (LinkView link : list) {
                if (link.word() != null && !link.word().isBlank()) {
                    words.put(link.ref(), link.word().strip());
                }
            }
        }
        return new Drill(title.strip(), Coded.require(DrillKind.class, "The kind", kind),
                place == null || place.isBlank() ? Optional.empty() : Optional.of(Id.of(place)), refs(opening), refs(links),
                refs(finishes), refs(extension), fakes.stream().map(String::strip).toList(), least, most, repetitions, minutes,
                sides.stream().map(code -> Coded.require(Side.class, "A side", code)).toList(), words, note.strip(), seed);
    }

    private static List<LinkRef> refs(List<LinkView> links) {
        return links.stream().map(LinkView::ref).toList();
    }
}
