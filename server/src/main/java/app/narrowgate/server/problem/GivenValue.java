package app.narrowgate.server.problem;

import app.narrowgate.core.check.Text;
import java.util.Collection;
import java.util.Locale;
import java.util.Map;

/** How a value that somebody gave is repeated to them: shortly, without what cannot be seen, and never a password. */
final class GivenValue {

    private static final int MOST = 80;

    private GivenValue() {
    }

    /** The beginning of a sentence, such as “minutes” is “x”. */
    static String told(String field, Object value) {
        if (value == null) {
            return "“%s” is missing".formatted(field);
        }
        if (field.toLowerCase(Locale.ROOT).contains("password") || value instanceof Map<?, ?>) {
            return "“%s” is not right".formatted(field);
        }
        if (value instanceof Object[] several) {
            return "“%s” is given %d times".formatted(field, several.length);
        }
        if (value instanceof Collection<?> entries) {
            return "“%s” has %d entries".formatted(field, entries.size());
        }
        boolean plain = value instanceof CharSequence || value instanceof Number || value instanceof Boolean
                || value instanceof java.util.UUID || value instanceof Enum<?>;
        String text = plain ? value.toString() : "";
        String told = Text.shown(text.length() <= MOST ? text : text.substring(0, MOST) + "…");
        return plain ? "“%s” is “%s”".formatted(field, told) : "“%s” is not right".formatted(field);
    }
}
