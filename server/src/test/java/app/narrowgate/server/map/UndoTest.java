package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class UndoTest {

    /** A history written oldest first: e for edit, u for undo, r for redo; numbers start at 2. */
    private static List<RevisionRow> history(String steps) {
        List<RevisionRow> rows = new ArrayList<>();
        for (int i = 0; i < steps.length(); i++) {
            String kind = switch (steps.charAt(i)) {
                case 'u' -> "undo";
                case 'r' -> "redo";
                default -> "edit";
            };
            rows.add(0, new RevisionRow(i + 2, kind, kind.equals("edit") ? null : 1, UUID.randomUUID(), "A",
                    Instant.EPOCH, ""));
        }
        return rows;
    }

    private static int undo(String steps) {
        return Undo.target(history(steps)).map(RevisionRow::number).orElse(0);
    }

    private static int redo(String steps) {
        return Undo.redoTarget(history(steps)).map(RevisionRow::number).orElse(0);
    }

    @Test
    void undoTakesBackTheNewestChangeThatStands() {
        assertThat(undo("")).isZero();
        assertThat(undo("eee")).isEqualTo(4);
        assertThat(undo("eeeu")).isEqualTo(3);
        assertThat(undo("eeeuu")).isEqualTo(2);
        assertThat(undo("eeeuuu")).isZero();
        assertThat(undo("eeuer")).isEqualTo(6);
        assertThat(undo("eeur")).isEqualTo(5);
    }

    @Test
    void redoBringsBackTheNewestUndoUntilSomethingElseIsEdited() {
        assertThat(redo("ee")).isZero();
        assertThat(redo("eeu")).isEqualTo(4);
        assertThat(redo("eeuu")).isEqualTo(5);
        assertThat(redo("eeuur")).isEqualTo(4);
        assertThat(redo("eeuurr")).isZero();
        assertThat(redo("eeue")).isZero();
    }
}
