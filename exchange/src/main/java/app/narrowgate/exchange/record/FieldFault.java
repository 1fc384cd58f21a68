package app.narrowgate.exchange.record;

import app.narrowgate.core.check.RefusedException;

/** What is wrong with one field of a line. */
final class FieldFault extends RefusedException {

    private static final long serialVersionUID = 1L;

    private final Field field;

    FieldFault(Field field, String message) {
        super(message);
        this.field = field;
    }

    Field field() {
        return field;
    }
}
