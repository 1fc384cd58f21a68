package app.narrowgate.exchange.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.record.Event;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/** An event as it is written: texts, whole and other numbers, and true or false, by field; what it does not have is missing. */
final class Written {

    private final Map<Field, Object> values = new EnumMap<>(Field.class);
    private final Function<UUID, String> called;

    private Written(Function<UUID, String> called) {
        this.called = called;
    }

    /** @param called what somebody is called in the file */
    static Map<Field, Object> of(Event event, Function<UUID, String> called) {
        Written written = new Written(called);
        written.put(Field.KIND, Kind.of(event).code());
        written.put(Field.AT, event.at().toString());
        written.put(Field.ID, event.id().toString());
        if (event instanceof Event.Round round) {
            written.put(round);
        } else if (event instanceof Event.Repetitions done) {
            written.put(done);
        } else if (event instanceof Event.Attendance came) {
            written.put(Field.PERSON, called.apply(came.person()));
        } else if (event instanceof Event.Reading read) {
            written.put(read);
        } else if (event instanceof Event.GateDecision decided) {
            written.put(decided);
        } else if (event instanceof Event.Keep kept) {
            written.put(Field.REACTION, kept.reaction().value());
        } else if (event instanceof Event.Void gone) {
            written.put(Field.VOIDS, gone.event().toString());
        }
        return written.values;
    }

    private void put(Field field, Object value) {
        values.put(field, value);
    }

    private void put(Field field, Optional<?> value) {
        value.ifPresent(there -> values.put(field, there instanceof Coded coded ? coded.code()
                : there instanceof Number || there instanceof Boolean ? there : there.toString()));
    }

    private void put(Event.Round round) {
        put(Field.PERSON, round.person().map(called));
        put(Field.PARTNER, round.partner().map(called));
        put(Field.START, round.start().value());
        put(Field.SIDE, round.side());
        put(Field.ENDING, round.ending().kind().map(Coded::code).orElse(EventReader.HELD));
        put(Field.ENDED_IN, round.ending().place());
        put(Field.SECONDS, round.seconds());
        put(Field.REACTION, round.reaction());
        put(Field.RESPONSE, round.response());
        put(Field.NOTHING, Optional.of(round.nothing()).filter(nothing -> nothing));
        put(Field.GAP, round.gap());
    }

    private void put(Event.Repetitions done) {
        put(Field.PERSON, called.apply(done.person()));
        put(Field.TECHNIQUE, done.technique().value());
        put(Field.REACTION, done.reaction());
        put(Field.SIDE, done.side());
        put(Field.ROLE, done.role().code());
        put(Field.MANY, done.many());
        put(Field.CLEAN, done.clean());
        put(Field.FAULT, done.fault());
    }

    private void put(Event.Reading read) {
        put(Field.PERSON, called.apply(read.person()));
        put(Field.PLACE, read.place().value());
        put(Field.REACTION, read.reaction().value());
        put(Field.CHOSEN, read.chosen().value());
        put(Field.RIGHT, read.right());
        put(Field.ANSWERS, read.answers());
        put(Field.MILLISECONDS, read.milliseconds());
    }

    private void put(Event.GateDecision decided) {
        put(Field.PERSON, called.apply(decided.person()));
        put(Field.FROM, decided.from().code());
        put(Field.PLACE, decided.place().value());
        put(Field.SIDE, decided.side().code());
        put(Field.SHOWN, decided.shown());
        put(Field.REASON, Optional.of(decided.reason()).filter(reason -> !reason.isEmpty()));
    }
}
