package app.narrowgate.core.revision;

import java.util.OptionalInt;

/**
 * What an undo and a redo are about while a revision is the newest. Found from the state of an earlier revision when
 * one is written, so that no history is ever walked.
 *
 * @param undoNext the revision that an undo would take back; empty when there is nothing left to undo
 * @param redoNext the undo that a redo would bring back; empty when there is nothing to redo
 */
public record UndoState(OptionalInt undoNext, OptionalInt redoNext) {

    /** Of the first revision. */
    public static final UndoState NONE = new UndoState(OptionalInt.empty(), OptionalInt.empty());

    /** After an edit, or going back to an old revision, that became revision {@code number}. */
    public static UndoState edited(int number) {
        return new UndoState(OptionalInt.of(number), OptionalInt.empty());
    }

    /**
     * After an undo that became revision {@code number}: what could be undone before the change that it took back still
     * can.
     *
     * @param beforeTaken of the revision before the one taken back
     */
    public static UndoState undone(int number, UndoState beforeTaken) {
        return new UndoState(beforeTaken.undoNext(), OptionalInt.of(number));
    }

    /**
     * After a redo that became revision {@code number}: what could be redone before the undo that it brought back still
     * can.
     *
     * @param beforeUndo of the revision before that undo
     */
    public static UndoState redone(int number, UndoState beforeUndo) {
        return new UndoState(OptionalInt.of(number), beforeUndo.redoNext());
    }
}
