package app.narrowgate.server.weight;

import app.narrowgate.core.body.Bodies;
import app.narrowgate.core.body.Relaxation;
import app.narrowgate.core.weight.Change;
import app.narrowgate.core.weight.Sizes;
import app.narrowgate.core.weight.Trap;
import app.narrowgate.core.weight.Weighing;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Weighs postures. What was weighed is kept by what was weighed, in shares of a weight, so that a hand on a slider for a
 * weight costs nothing and one for a stature a relaxation.
 */
@Component
class Weights {

    /** Room for some ten maps and what is tried on a few places. */
    private static final int MOST = 4000;

    /** Room for statures that are tried: they come from a slider and are many. */
    private static final int MOST_SIZED = 500;

    private record Weighed(Bodies posture, Set<Change> done) {
    }

    private record Sized(Bodies posture, double ratio) {
    }

    private final Cache<Weighed, Weighing> weighed = Caffeine.newBuilder().maximumSize(MOST).build();
    private final Cache<Bodies, Optional<Trap>> traps = Caffeine.newBuilder().maximumSize(MOST).build();
    private final Cache<Sized, Bodies> sized = Caffeine.newBuilder().maximumSize(MOST_SIZED).build();

    /** A posture as tall as the two are. */
    Bodies sized(Bodies posture, Sizes sizes) {
        return sized.get(new Sized(posture, sizes.ratio()), asked -> Weighing.sized(posture, sizes, Relaxation::of));
    }

    /** A posture weighed, with what is changed about it. */
    Weighing weighing(Bodies posture, Set<Change> done) {
        return weighed.get(new Weighed(posture, Set.copyOf(done)),
                asked -> Weighing.of(asked.posture(), asked.done(), rough -> Relaxation.of(rough, Relaxation.NUDGE, Map.of())));
    }

    /** What of one side to take away so that they tip soonest. */
    Optional<Trap> best(Bodies posture) {
        return traps.get(posture, Trap::best);
    }
}
