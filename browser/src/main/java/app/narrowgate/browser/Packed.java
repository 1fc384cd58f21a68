package app.narrowgate.browser;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/**
 * An answer as it is handed over: rows of figures, rows of whole numbers, and texts, each read off in the order in which it
 * was put in. What each is stands in {@code compiled.d.ts}.
 */
final class Packed {

    private double[] figures = new double[256];
    private int[] marks = new int[256];
    private final List<String> texts = new ArrayList<>();
    private int figureCount;
    private int markCount;

    Packed figure(double value) {
        if (figureCount == figures.length) {
            figures = Arrays.copyOf(figures, 2 * figureCount);
        }
        figures[figureCount++] = value;
        return this;
    }

    Packed mark(int value) {
        if (markCount == marks.length) {
            marks = Arrays.copyOf(marks, 2 * markCount);
        }
        marks[markCount++] = value;
        return this;
    }

    Packed mark(boolean value) {
        return mark(value ? 1 : 0);
    }

    Packed text(String value) {
        texts.add(value);
        return this;
    }

    double[] figures() {
        return Arrays.copyOf(figures, figureCount);
    }

    int[] marks() {
        return Arrays.copyOf(marks, markCount);
    }

    List<String> texts() {
        return texts;
    }

    /** {@code {figures: Float64Array, marks: Int32Array, texts: string[]}}. */
    JSObject handedOver() {
        return packed(figures(), marks(), texts.toArray(new String[0]));
    }

    @JSBody(params = {"figures", "marks", "texts"},
            script = "return {figures: Float64Array.from(figures), marks: Int32Array.from(marks), texts: texts};")
    private static native JSObject packed(double[] figures, int[] marks, String[] texts);
}
