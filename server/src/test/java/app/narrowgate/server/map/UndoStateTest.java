package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What stands with each revision about undo and redo, against two stacks that a person would keep in the head. */
class UndoStateTest {

    /** A history from the first revision on: e for edit, u for undo, r for redo; the second revision is number 2. */
    private static UndoState after(String steps) {
        List<UndoState> states = new ArrayList<>(List.of(UndoState.NONE, UndoState.NONE));
        for (int i = 0; i < steps.length(); i++) {
            int number = i + 2;
            UndoState now = states.get(number - 1);
            states.add(switch (steps.charAt(i)) {
                case 'u' -> UndoState.undone(number, states.get(now.undoNext() - 1));
                case 'r' -> UndoState.redone(number, states.get(now.redoNext() - 1));
                default -> UndoState.edited(number);
            });
        }
        return states.get(states.size() - 1);
    }

    @Test
    void undoTakesBackTheNewestChangeThatStands() {
        assertThat(after("").undoNext()).isNull();
        assertThat(after("eee").undoNext()).isEqualTo(4);
        assertThat(after("eeeu").undoNext()).isEqualTo(3);
        assertThat(after("eeeuu").undoNext()).isEqualTo(2);
        assertThat(after("eeeuuu").undoNext()).isNull();
        assertThat(after("eeue").undoNext()).isEqualTo(5);
        assertThat(after("eeur").undoNext()).isEqualTo(5);
    }

    @Test
    void redoBringsBackTheNewestUndoUntilSomethingElseIsEdited() {
        assertThat(after("ee").redoNext()).isNull();
        assertThat(after("eeu").redoNext()).isEqualTo(4);
        assertThat(after("eeuu").redoNext()).isEqualTo(5);
        assertThat(after("eeuur").redoNext()).isEqualTo(4);
        assertThat(after("eeuurr").redoNext()).isNull();
        assertThat(after("eeue").redoNext()).isNull();
    }

    static IntStream seeds() {
        return IntStream.range(0, 50);
    }

    /** Two stacks of what the map held: after every step the state to go back to must be the one on top. */
    @ParameterizedTest
    @MethodSource("seeds")
    void agreesWithTwoStacks(int seed) {
        Random random = new Random(seed);
        List<Integer> undo = new ArrayList<>();
        List<Integer> redo = new ArrayList<>();
        StringBuilder steps = new StringBuilder();
        for (int i = 0; i < 30; i++) {
            int number = i + 2;
            int kind = random.nextInt(3);
            if (kind == 1 && !undo.isEmpty()) {
                steps.append('u');
                undo.remove(undo.size() - 1);
                redo.add(number);
            } else if (kind == 2 && !redo.isEmpty()) {
                steps.append('r');
                redo.remove(redo.size() - 1);
                undo.add(number);
            } else {
                steps.append('e');
                undo.add(number);
                redo.clear();
            }
            UndoState state = after(steps.toString());
            assertThat(state.undoNext()).as("undo after %s", steps)
                    .isEqualTo(undo.isEmpty() ? null : undo.get(undo.size() - 1));
            assertThat(state.redoNext()).as("redo after %s", steps)
                    .isEqualTo(redo.isEmpty() ? null : redo.get(redo.size() - 1));
        }
    }
}
