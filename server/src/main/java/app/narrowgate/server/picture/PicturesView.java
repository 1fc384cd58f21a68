package app.narrowgate.server.picture;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.config.RenderedOnce;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** The pictures of a map's places, each drawing once. */
@Schema(name = "Pictures")
@RenderedOnce(small = true)
public record PicturesView(
        @Schema(description = "Situation or outcome to its picture; a place that nobody has drawn is missing")
        Map<String, String> places,
        @Schema(description = "By the posture's id") Map<String, PictureView> pictures,
        @Schema(description = "By the id of the posture that was drawn") Map<String, DrawingView> drawings) {

    @Schema(name = "Picture")
    record PictureView(String title, @Schema(description = "What is seen; may be empty") String says,
            @Schema(allowableValues = {"left", "right"},
                    description = "The side of the bottom player on which the top player is; missing where there is none")
            @Nullable String near, @Schema(description = "Which drawing") String drawing,
            @Schema(description = "True where the two are in each other's place in the drawing") boolean swapped) {
    }

    /** The same for a few of the places. */
    public PicturesView only(Set<String> few) {
        Map<String, String> at = new LinkedHashMap<>(places);
        at.keySet().retainAll(few);
        Map<String, PictureView> shown = new LinkedHashMap<>(pictures);
        shown.keySet().retainAll(at.values());
        Map<String, DrawingView> drawn = new LinkedHashMap<>(drawings);
        drawn.keySet().retainAll(shown.values().stream().map(PictureView::drawing).toList());
        return new PicturesView(at, shown, drawn);
    }

    static PicturesView of(EscapeMap map, Postures postures, Pictures pictures) {
        Map<String, String> places = new LinkedHashMap<>();
        Map<String, PictureView> views = new LinkedHashMap<>();
        Map<String, DrawingView> drawings = new LinkedHashMap<>();
        Stream.concat(map.situations().stream(), map.outcomes().stream()).map(Part::id)
                .forEach(place -> postures.ofPlace(place).map(Id::value).ifPresent(posture -> places.put(place.value(), posture)));
        Set<String> shown = new HashSet<>(places.values());
        List<Posture> drawn = map.postures().stream().filter(posture -> shown.contains(posture.id().value())).toList();
        // The work is done side by side, what comes of it told in the map's order.
        drawn.parallelStream().forEach(posture -> pictures.draw(postures.get(posture.id())));
        drawn.forEach(posture -> {
            Postures.Worked worked = postures.get(posture.id());
            Optional<Postures.Worked> other = exchanged(posture, worked, postures);
            Postures.Worked seen = other.orElse(worked);
            drawings.computeIfAbsent(seen.id().value(), id -> DrawingView.of(pictures.draw(seen)));
            views.put(posture.id().value(), new PictureView(posture.title(), worked.says(),
                    worked.near().map(Side::code).orElse(null), seen.id().value(), other.isPresent()));
        });
        return new PicturesView(places, views, drawings);
    }

    /** The posture that looks the same but for who is who; empty where there is none, or it is looked at otherwise. */
    private static Optional<Postures.Worked> exchanged(Posture posture, Postures.Worked worked, Postures postures) {
        return posture.shape() instanceof Posture.Like like && like.isExchange()
                ? Optional.of(postures.get(like.base())).filter(base -> base.view().equals(worked.view())) : Optional.empty();
    }
}
