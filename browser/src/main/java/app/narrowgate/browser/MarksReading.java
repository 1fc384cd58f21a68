package app.narrowgate.browser;

import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.held.Marks;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.fields.Value;
import java.util.List;
import java.util.Optional;

/** What was marked as held, by the names of the server's query. */
final class MarksReading {

    private static final int MOST_SEGMENTS = 7;
    private static final int MOST_FACTS = 50;

    private MarksReading() {
    }

    /**
     * What was marked.
     *
     * @throws ProblemsException with every problem
     */
    static Marks read(Value value) {
        Problems problems = new Problems();
        Fields f = new Fields(value, "", problems);
        Marks marks = Marks.read(f.has("where") ? Optional.of(f.optionalText("where", Text.TITLE)) : Optional.empty(),
                texts(f, "held", MOST_SEGMENTS), texts(f, "free", MOST_SEGMENTS), texts(f, "so", MOST_FACTS), texts(f, "notSo", MOST_FACTS));
        f.refuseUnknown();
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return marks;
    }

    private static List<String> texts(Fields f, String field, int most) {
        return f.has(field) ? f.texts(field, Text.TITLE, most) : List.of();
    }
}
