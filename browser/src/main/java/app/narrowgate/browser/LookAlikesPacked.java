package app.narrowgate.browser;

import app.narrowgate.core.drill.LookAlike;
import java.util.List;

/** What is easily taken for one another, packed, the dearest first. */
final class LookAlikesPacked {

    private LookAlikesPacked() {
    }

    static Packed of(List<LookAlike> pairs) {
        Packed packed = new Packed();
        for (LookAlike pair : pairs) {
            packed.text(OddsPacked.orNone(pair.after()));
            half(packed, pair.one());
            half(packed, pair.other());
        }
        return packed;
    }

    private static void half(Packed packed, LookAlike.Half half) {
        packed.text(half.situation().value()).text(half.answer().value()).figure(half.chance()).figure(half.loss());
    }
}
