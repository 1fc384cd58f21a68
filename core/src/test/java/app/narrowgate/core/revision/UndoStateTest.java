package app.narrowgate.core.revision;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
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
                case 'u' -> UndoState.undone(number, states.get(now.undoNext().getAsInt() - 1));
                case 'r' -> UndoState.redone(number, states.get(now.redoNext().getAsInt() - 1));
                default -> UndoState.edited(number);
            });
        }
        return states.get(states.size() - 1);
    }

    @Test
    void undoTakesBackTheNewestChangeThatStands() {
        assertThat(after("").undoNext()).isEmpty();
        assertThat(after("eee").undoNext()).hasValue(4);
        assertThat(after("eeeu").undoNext()).hasValue(3);
        assertThat(after("eeeuu").undoNext()).hasValue(2);
        assertThat(after("eeeuuu").undoNext()).isEmpty();
        assertThat(after("eeue").undoNext()).hasValue(5);
        assertThat(after("eeur").undoNext()).hasValue(5);
    }

    @Test
    void redoBringsBackTheNewestUndoUntilSomethingElseIsEdited() {
        assertThat(after("ee").redoNext()).isEmpty();
        assertThat(after("eeu").redoNext()).hasValue(4);
        assertThat(after("eeuu").redoNext()).hasValue(5);
        assertThat(after("eeuur").redoNext()).hasValue(4);
        assertThat(after("eeuurr").redoNext()).isEmpty();
        assertThat(after("eeue").redoNext()).isEmpty();
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
                    .isEqualTo(top(undo));
            assertThat(state.redoNext()).as("redo after %s", steps)
                    .isEqualTo(top(redo));
        }
    }

    private static OptionalInt top(List<Integer> stack) {
        return stack.isEmpty() ? OptionalInt.empty() : OptionalInt.of(stack.get(stack.size() - 1));
    }
}
