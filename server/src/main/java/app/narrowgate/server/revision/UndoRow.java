package app.narrowgate.server.revision;

import app.narrowgate.core.revision.UndoState;
import java.util.OptionalInt;

/** An {@link UndoState} as it is stored; null for what there is none of. */
record UndoRow(Integer undoNext, Integer redoNext) {

    static UndoRow of(UndoState state) {
        return new UndoRow(orNull(state.undoNext()), orNull(state.redoNext()));
    }

    UndoState state() {
        return new UndoState(orEmpty(undoNext), orEmpty(redoNext));
    }

    private static Integer orNull(OptionalInt number) {
        return number.isPresent() ? number.getAsInt() : null;
    }

    private static OptionalInt orEmpty(Integer number) {
        return number == null ? OptionalInt.empty() : OptionalInt.of(number);
    }
}
