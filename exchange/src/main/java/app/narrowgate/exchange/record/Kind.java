package app.narrowgate.exchange.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.record.Event;
import java.util.EnumSet;
import java.util.Set;

/** What an event is, and what may stand in it. */
enum Kind implements Coded {
    ROUND(Field.PERSON, Field.PARTNER, Field.START, Field.SIDE, Field.ENDING, Field.ENDED_IN, Field.SECONDS, Field.REACTION, Field.RESPONSE, Field.NOTHING,
            Field.GAP),
    REPETITIONS(Field.PERSON, Field.TECHNIQUE, Field.REACTION, Field.SIDE, Field.ROLE, Field.MANY, Field.CLEAN, Field.FAULT),
    ATTENDANCE(Field.PERSON),
    READING(Field.PERSON, Field.PLACE, Field.REACTION, Field.CHOSEN, Field.RIGHT, Field.ANSWERS, Field.MILLISECONDS),
    GATE(Field.PERSON, Field.FROM, Field.PLACE, Field.SIDE, Field.SHOWN, Field.REASON),
    KEEP(Field.REACTION),
    VOID(Field.VOIDS);

    private final Set<Field> fields;

    Kind(Field... fields) {
        this.fields = EnumSet.of(Field.KIND, Field.AT, Field.ID);
        this.fields.addAll(Set.of(fields));
    }

    boolean has(Field field) {
        return fields.contains(field);
    }

    static Kind of(Event event) {
        if (event instanceof Event.Round) {
            return ROUND;
        } else if (event instanceof Event.Repetitions) {
            return REPETITIONS;
        } else if (event instanceof Event.Attendance) {
            return ATTENDANCE;
        } else if (event instanceof Event.Reading) {
            return READING;
        } else if (event instanceof Event.GateDecision) {
            return GATE;
        }
        return event instanceof Event.Keep ? KEEP : VOID;
    }
}
