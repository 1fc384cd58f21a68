package app.narrowgate.exchange.record;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What may stand in an event, in the order in which it is written. */
enum Field {
    KIND("kind"), AT("at"), PERSON("person"), PARTNER("partner"), START("start"), SIDE("side"), ENDING("ending"), ENDED_IN("endedIn"), SECONDS("seconds"),
    REACTION("reaction"), RESPONSE("response"), NOTHING("nothing"), GAP("gap"), TECHNIQUE("technique"), ROLE("role"), MANY("many"), CLEAN("clean"),
    FAULT("fault"), FROM("from"), PLACE("place"), SHOWN("shown"), REASON("reason"), CHOSEN("chosen"), RIGHT("right"), ANSWERS("answers"),
    MILLISECONDS("milliseconds"), VOIDS("voids"), ID("id");

    private final String written;

    Field(String written) {
        this.written = written;
    }

    /** As it is written in JSON. */
    String inJson() {
        return written;
    }

    /** As it is written over a column. */
    String inTable() {
        return written.replaceAll("([A-Z])", "-$1").toLowerCase(java.util.Locale.ROOT);
    }

    static List<String> columns() {
        return Arrays.stream(values()).map(Field::inTable).toList();
    }

    static Optional<Field> inJson(String name) {
        return Arrays.stream(values()).filter(field -> field.written.equals(name)).findFirst();
    }
}
