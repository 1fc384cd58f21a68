package app.narrowgate.exchange.table;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class RowsTest {

    private static final Rows ROWS = new Rows(List.of("name", "notes"), List.of("name"), 3, "people");

    private final Problems problems = new Problems();
    private final List<String> names = new ArrayList<>();

    private void read(String text) {
        ROWS.read(text, problems, (row, line) -> names.add(row.get("name")));
    }

    /** Each cell costs memory, however empty: a table of twelve megabytes could have twelve million. */
    @ParameterizedTest
    @ValueSource(strings = {",", ";"})
    void aLineWithThousandsOfCellsIsRefusedBeforeItIsRead(String separator) {
        read("name,notes\nWren,here\n" + separator.repeat(Rows.MOST_SEPARATORS + 1) + "\n");
        assertThat(names).isEmpty();
        assertThat(problems.list()).extracting(Problem::place).containsExactly("line 3");
    }

    @Test
    void manyShortLinesAreNoLongOne() {
        read("name,notes\r" + ",\r".repeat(Rows.MOST_SEPARATORS + 1));
        assertThat(problems.list()).extracting(Problem::message).containsExactly("More than 3 people; split the table.");
    }

    @Test
    void aSentenceMayHaveItsCommas() {
        read("name,notes\nWren,\"%s\"\n".formatted("so, ".repeat(1_000)));
        assertThat(problems.isEmpty()).isTrue();
        assertThat(names).containsExactly("Wren");
    }

    @Test
    void whatIsNoTableIsToldWithoutTheProgramsOwnWords() {
        read("name,notes\nWren,\"a quote that nobody ends");
        assertThat(problems.list()).extracting(Problem::message).singleElement().asString().startsWith("This is not a table").doesNotContain("Exception");
    }
}
