package app.narrowgate.server.map;

/**
 * What an undo and a redo are about while a revision is the newest; stored with it.
 *
 * @param undoNext the revision that an undo would take back; null when there is nothing left to undo
 * @param redoNext the undo that a redo would bring back; null when there is nothing to redo
 */
record UndoState(Integer undoNext, Integer redoNext) {

    /** Of a map's first revision. */
    static final UndoState NONE = new UndoState(null, null);

    /** After an edit, or going back to an old revision, that became revision {@code number}. */
    static UndoState edited(int number) {
        return new UndoState(number, null);
    }

    /**
     * After an undo that became revision {@code number}: what could be undone before the change that it took back still can.
     *
     * @param beforeTaken of the revision before the one taken back
     */
    static UndoState undone(int number, UndoState beforeTaken) {
        return new UndoState(beforeTaken.undoNext(), number);
    }

    /**
     * After a redo that became revision {@code number}: what could be redone before the undo that it brought back still can.
     *
     * @param beforeUndo of the revision before that undo
     */
    static UndoState redone(int number, UndoState beforeUndo) {
        return new UndoState(number, beforeUndo.redoNext());
    }
}
