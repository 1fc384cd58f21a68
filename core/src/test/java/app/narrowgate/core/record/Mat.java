package app.narrowgate.core.record;

import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Instant;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.function.ToDoubleFunction;

/** Rounds that were rolled, as they are logged. */
final class Mat {

    private Mat() {
    }

    static TrueMat of(SolvedMap truth, long seed) {
        return new TrueMat(truth, new SplittableRandom(seed));
    }

    static TrueMat of(SolvedMap truth, ToDoubleFunction<Reaction> chosen, long seed) {
        return new TrueMat(truth, chosen, new SplittableRandom(seed));
    }

    /** With one tap. */
    static Event.Round logged(TrueMat.Rolled rolled) {
        return ExpectedCountsTest.round(rolled.start().value(), rolled.kind(), null, null);
    }

    /** With the last answer that got going, or with that none did. */
    static Event.Round noted(TrueMat.Rolled rolled) {
        Optional<LinkRef> last = rolled.last();
        Event.Round round = ExpectedCountsTest.round(rolled.start().value(), rolled.kind(), last.map(one -> one.reaction().value()).orElse(null),
                last.map(one -> one.response().value()).orElse(null));
        return new Event.Round(round.id(), round.at(), round.person(), round.partner(), round.start(), round.side(), round.ending(), round.seconds(),
                round.reaction(), round.response(), last.isEmpty(), round.gap());
    }

    static Instant now() {
        return Instant.EPOCH;
    }

    static UUID somebody() {
        return new UUID(0, 1);
    }
}
