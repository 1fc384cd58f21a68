package app.narrowgate.server.weight;

import app.narrowgate.core.weight.Base;
import app.narrowgate.core.weight.Load;
import app.narrowgate.core.weight.Sizes;
import app.narrowgate.core.weight.Way;
import app.narrowgate.core.weight.Weighing;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.geometry.euclidean.threed.Vector3D;

/** The figures of a place as it is. */
@Schema(name = "WeightFigures")
record WeightFigures(
        @Schema(description = "How high the centre of their mass is, centimetres") double height,
        @Schema(description = "What rests on you; missing where that is not reckoned") @Nullable LoadView load,
        @Schema(allowableValues = {"standing", "sitting", "lying", "not-without-pull"}, description = "Why there is no load")
        @Nullable String noLoad,
        @Schema(description = "Where they tip first; missing where that is not reckoned") @Nullable LeanView weakest,
        @Schema(description = "The same while no hand is put elsewhere") @Nullable LeanView own,
        @Schema(allowableValues = {"standing", "sitting", "lying", "all-on-you"}, description = "Why nobody tips")
        @Nullable String noBase) {

    @Schema(name = "WeightLoad", description = "Kilograms of theirs that rest on you")
    record LoadView(double likely, double least, double most, @Schema(description = "Of the likely figure, the most first")
            List<SpotView> spots) {
        static LoadView of(Load load, double weight) {
            return new LoadView(load.likely() * weight, load.least() * weight, load.most() * weight, load.spots().entrySet().stream()
                    .sorted(Comparator.comparing((Map.Entry<?, Double> e) -> e.getValue()).reversed())
                    .map(e -> new SpotView(e.getKey().code(), e.getValue() * weight)).toList());
        }
    }

    @Schema(name = "WeightSpot")
    record SpotView(@Schema(allowableValues = {"head", "neck", "ribs", "belly", "hips", "arm", "leg"}) String spot, double kilograms) {
    }

    @Schema(name = "WeightLean", description = "By how many degrees they must be leant until they tip; below 0 they lean on you")
    record LeanView(double degrees,
            @Schema(description = "Over which side of yours, such as head-right; on your side front and back for right and left") String way,
            @Schema(description = "The work of lifting them over it, joules") double work) {
        static LeanView of(Base base, Way.Compass compass, Sizes sizes) {
            Base.Lean weakest = base.weakest();
            return new LeanView(weakest.degrees(), compass.of(direction(weakest.azimuth())).code(),
                    base.work(weakest.azimuth(), sizes.theirWeight(), sizes.yourStature()));
        }
    }

    static Vector3D direction(double azimuth) {
        return Vector3D.of(StrictMath.cos(azimuth), StrictMath.sin(azimuth), 0);
    }

    static WeightFigures of(Weighing weighing, Sizes sizes) {
        Way.Compass compass = Way.Compass.of(weighing.bodies());
        return new WeightFigures(weighing.supports().centre().getZ() * sizes.yourStature() * 100,
                weighing.load().map(load -> LoadView.of(load, sizes.theirWeight())).orElse(null),
                weighing.noLoad().map(Weighing.Silence::code).orElse(null), lean(weighing.base(), compass, sizes),
                lean(weighing.own(), compass, sizes), weighing.noBase().map(Weighing.Silence::code).orElse(null));
    }

    private static LeanView lean(Optional<Base> base, Way.Compass compass, Sizes sizes) {
        return base.map(b -> LeanView.of(b, compass, sizes)).orElse(null);
    }
}
