package app.narrowgate.browser;

import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SettingRequest;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.fields.Value;
import java.util.List;
import java.util.Optional;

/** A setting as the page's address says it, by the names of the server's query. Nobody's sizes are known here: those are the server's. */
final class SettingReading {

    private static final int MOST_STANCES = 50;
    private static final int MOST_INJURIES = 8;
    private static final String[] NAMES = {"aim", "read", "late", "matchup", "weightGap", "heightGap", "jacket", "setting", "age", "level",
        "injury", "stance", "thinkBase", "thinkPerBit"};

    private SettingReading() {
    }

    /**
     * What is asked for.
     *
     * @throws ProblemsException with every problem
     */
    static SettingRequest read(Value value) {
        Problems problems = new Problems();
        Fields f = new Fields(value, "", problems);
        SettingRequest request = new SettingRequest(text(f, "aim"), number(f, "read", Range.CHANCE), number(f, "late", Setting.LATE),
                text(f, "matchup"), number(f, "weightGap", Matchup.WEIGHT_GAP), number(f, "heightGap", Matchup.HEIGHT_GAP),
                f.has("jacket") ? Optional.of(f.flag("jacket", false)) : Optional.empty(), text(f, "setting"), text(f, "age"),
                text(f, "level"), f.has("injury") ? Optional.of(f.texts("injury", Text.TITLE, MOST_INJURIES)) : Optional.empty(),
                f.has("stance") ? f.texts("stance", Text.SENTENCE, MOST_STANCES) : List.of(),
                number(f, "thinkBase", ThinkingTime.COEFFICIENT), number(f, "thinkPerBit", ThinkingTime.COEFFICIENT));
        f.accept(NAMES);
        f.refuseUnknown();
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems.list());
        }
        return request;
    }

    private static Optional<String> text(Fields f, String field) {
        return f.has(field) ? Optional.of(f.optionalText(field, Text.TITLE)) : Optional.empty();
    }

    private static Optional<Double> number(Fields f, String field, Range rule) {
        return f.has(field) ? Optional.of(f.number(field, rule)) : Optional.empty();
    }
}
