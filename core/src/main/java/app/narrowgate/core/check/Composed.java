package app.narrowgate.core.check;

import java.text.Normalizer;

/** Characters composed (Unicode Normalization Form C). A class of its own, as every platform brings its own tables for it. */
final class Composed {

    private Composed() {
    }

    /** {@code value} composed, so that what looks the same is the same. */
    static String of(String value) {
        return Normalizer.isNormalized(value, Normalizer.Form.NFC) ? value : Normalizer.normalize(value, Normalizer.Form.NFC);
    }
}
