package app.narrowgate.core.right;

import java.util.Arrays;
import java.util.stream.Collectors;

/** The table of rights as a page to read. */
public final class RightsTable {

    private RightsTable() {
    }

    /** A Markdown table, one right a line, one role a column. */
    public static String markdown() {
        String head = Arrays.stream(Role.values()).map(Role::title).collect(Collectors.joining(" | ", "| may | ", " |"));
        String rule = Arrays.stream(Role.values()).map(role -> ":-:").collect(Collectors.joining(" | ", "| --- | ", " |"));
        String rows = Arrays.stream(Right.values()).map(right -> Arrays.stream(Role.values())
                .map(role -> role.may(right) ? "yes" : "").collect(Collectors.joining(" | ", "| " + right.title() + " | ", " |")))
                .collect(Collectors.joining("\n"));
        return head + "\n" + rule + "\n" + rows + "\n";
    }
}
