package app.narrowgate.browser;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import java.util.List;
import java.util.function.Supplier;
import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/** What a call comes back with: {@code {value}}, or {@code {problems}} where the input does not fit, each with place and message. */
final class Answer {

    private Answer() {
    }

    /** The answer of {@code call}, or what is wrong with what it was given. */
    static JSObject of(Supplier<Packed> call) {
        try {
            return value(call.get().handedOver());
        } catch (ProblemsException e) {
            return problems(e.problems());
        } catch (RefusedException e) {
            return problems(List.of(new Problem("", e.getMessage())));
        }
    }

    private static JSObject problems(List<Problem> problems) {
        String[] texts = new String[2 * problems.size()];
        for (int i = 0; i < problems.size(); i++) {
            texts[2 * i] = problems.get(i).place();
            texts[2 * i + 1] = problems.get(i).message();
        }
        return told(texts);
    }

    @JSBody(params = "value", script = "return {value: value};")
    private static native JSObject value(JSObject value);

    @JSBody(params = "texts", script = "var problems = [];"
            + "for (var i = 0; i < texts.length; i += 2) problems.push({place: texts[i], message: texts[i + 1]});"
            + "return {problems: problems};")
    private static native JSObject told(String[] texts);
}
