package app.narrowgate.exchange.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.trait.Side;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DrillJsonTest {

    private static final Schema SCHEMA = schema();
    private static final String FULL = """
            {"format":"narrowgate-drill/1","title":"Round","kind":"round-pattern","place":"guard",
             "opening":[{"reaction":"o","response":"o-1"}],"links":[{"reaction":"a","response":"a-1","word":"Knee"}],
             "finishes":[{"reaction":"f","response":"f-1"}],"extension":[{"reaction":"x","response":"x-1"}],
             "fakes":["Left, and back"],"least":2,"most":4,"repetitions":3,"minutes":7.5,"sides":["right","left"],
             "note":"Slowly","seed":12}""";
    private static final String SMALL = """
            {"format":"narrowgate-drill/1","title":"Hold","kind":"live","place":"pin"}""";

    private static Schema schema() {
        try (InputStream file = DrillJsonTest.class.getResourceAsStream("/formats/narrowgate-drill-1.schema.json")) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void everyFieldComesBackAsItWasWritten() {
        for (String text : List.of(FULL, SMALL)) {
            Drill drill = DrillJson.read(text);
            assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
            assertThat(DrillJson.read(DrillJson.writeText(drill))).isEqualTo(drill);
            assertThat(SCHEMA.validate(DrillJson.writeText(drill), InputFormat.JSON)).isEmpty();
        }
        Drill full = DrillJson.read(FULL);
        assertThat(full.words()).hasSize(1).containsValue("Knee");
        assertThat(full.sides()).containsExactly(Side.RIGHT, Side.LEFT);
        assertThat(full.kind()).isEqualTo(DrillKind.ROUND_PATTERN);
        assertThat(full.allLinks()).hasSize(4);
        Drill small = DrillJson.read(SMALL);
        assertThat(small.minutes()).isEqualTo(8);
        assertThat(small.least()).isEqualTo(3);
        assertThat(small.sides()).containsExactly(Side.LEFT, Side.RIGHT);
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "narrowgate-drill/1 > narrowgate-drill/2", "round-pattern > round", "\"least\":2 > \"least\":0", "\"least\":2 > \"least\":2.5",
        "\"minutes\":7.5 > \"minutes\":0.5", "\"minutes\":7.5 > \"minutes\":\"7\"", "[\"right\",\"left\"] > [\"middle\"]",
        "[\"right\",\"left\"] > []", "\"word\":\"Knee\" > \"wort\":\"Knee\"", "\"response\":\"a-1\", > ", "\"seed\":12 > \"seed\":-1",
        "\"repetitions\":3 > \"repetitions\":null", "\"title\":\"Round\" > \"title\":\"\"", "\"reaction\":\"f\" > \"reaction\":\"F f\"",
        "[\"Left, and back\"] > [\"a\",\"b\",\"c\",\"d\",\"e\"]", "\"note\":\"Slowly\" > \"notes\":\"Slowly\""})
    void whatIsWrongIsRefusedByReaderAndSchema(String change) {
        String[] parts = change.split(" > ", -1);
        String changed = FULL.replace(parts[0], parts[1]);
        assertThat(changed).isNotEqualTo(FULL);
        assertThatThrownBy(() -> DrillJson.read(changed)).isInstanceOf(ProblemsException.class);
        assertThat(SCHEMA.validate(changed, InputFormat.JSON)).isNotEmpty();
    }

    @Test
    void everyFaultIsNamedByItsPlace() {
        assertThatThrownBy(() -> DrillJson.read(FULL.replace("\"minutes\":7.5", "\"minutes\":99").replace("\"word\":\"Knee\"", "\"word\":7")))
                .isInstanceOfSatisfying(ProblemsException.class, e -> assertThat(e.problems()).extracting(Problem::place)
                        .containsExactlyInAnyOrder("/minutes", "/links/0/word"));
        assertThatThrownBy(() -> DrillJson.read("{")).isInstanceOfSatisfying(ProblemsException.class,
                e -> assertThat(e.problems().get(0).place()).contains("line 1"));
        assertThatThrownBy(() -> DrillJson.read(SMALL.replace(",\"place\":\"pin\"", ""))).hasMessageContaining("place");
        assertThatThrownBy(() -> DrillJson.read(FULL.replace("\"most\":4", "\"most\":1"))).hasMessageContaining("smaller");
    }
}
