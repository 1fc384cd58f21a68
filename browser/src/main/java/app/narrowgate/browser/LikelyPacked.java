package app.narrowgate.browser;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.map.Id;

/** Where one may be, packed: what to tell next, then situation and chance, the likeliest first. */
final class LikelyPacked {

    private LikelyPacked() {
    }

    static Packed of(LikelySituations judged) {
        Packed packed = new Packed().mark(judged.next().isPresent());
        LikelySituations.Question next = judged.next().orElse(null);
        if (next != null) {
            packed.mark(next.bearing()).text(next.segment().map(Coded::code).orElse("")).text(next.fact().map(Id::value).orElse(""));
        }
        for (LikelySituations.Likely likely : judged.likely()) {
            packed.text(likely.situation().value()).figure(likely.chance());
        }
        return packed;
    }
}
