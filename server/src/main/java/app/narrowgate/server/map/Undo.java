package app.narrowgate.server.map;

import java.util.List;
import java.util.Optional;

/** Which revision an undo or a redo is about, read from a history, newest first. */
final class Undo {

    private Undo() {
    }

    /** The newest change that has not been taken back. */
    static Optional<RevisionRow> target(List<RevisionRow> newestFirst) {
        int takenBack = 0;
        for (RevisionRow revision : newestFirst) {
            if (revision.kind().equals("undo")) {
                takenBack++;
            } else if (takenBack == 0) {
                return Optional.of(revision);
            } else {
                takenBack--;
            }
        }
        return Optional.empty();
    }

    /** The newest undo that has not been brought back; none once something else was edited. */
    static Optional<RevisionRow> redoTarget(List<RevisionRow> newestFirst) {
        int broughtBack = 0;
        for (RevisionRow revision : newestFirst) {
            if (revision.kind().equals("edit") || revision.kind().equals("restore")) {
                return Optional.empty();
            }
            if (revision.kind().equals("redo")) {
                broughtBack++;
            } else if (broughtBack == 0) {
                return Optional.of(revision);
            } else {
                broughtBack--;
            }
        }
        return Optional.empty();
    }
}
