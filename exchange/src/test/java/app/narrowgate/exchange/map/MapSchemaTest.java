package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.GripGrade;
import app.narrowgate.core.map.House;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The published schema, read by a validator that is not ours, says the same as the reader. */
class MapSchemaTest {

    private static final Schema SCHEMA = schema();
    private static final String SMALL = """
            {"format":"narrowgate-map/1","title":"One pin","families":[{"id":"mount","title":"Mount"}],
             "techniques":[{"id":"trap","title":"Trap","checkpoints":["Feet in"],"stance":null}],
             "situations":[{"id":"low","title":"Low","family":"mount","stage":"settled","held":{"hips":"seat"},
               "clock":{"seconds":6,"becomes":"tap"},"entry":1,"rest":null}],
             "outcomes":[{"id":"top","title":"Top","kind":"reversal"},{"id":"tap","title":"Tap","kind":"tap"}],
             "reactions":[{"id":"r","from":"low","technique":"trap","seconds":1.5,"works":"often",
               "responses":[{"id":"over","cue":"They go over","often":6,"leads":"top"}]}],
             "aims":[{"id":"out","title":"Out","worth":{"reversal":1}}],
             "holds":[{"id":"pin","title":"Pin","kind":"pin","at":["low"],
               "needs":{"all":[{"id":"n1","title":"Seat low","work":2,"denied":["r"]},{"id":"n2","title":"Knees tight"}]}}]}
            """.replace(",\"stance\":null", "").replace(",\"rest\":null", "");

    private static Schema schema() {
        try (InputStream file = MapSchemaTest.class.getResourceAsStream("/formats/narrowgate-map-1.schema.json")) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean isValid(String text) {
        return SCHEMA.validate(text, InputFormat.JSON).isEmpty();
    }

    private static boolean isRead(String text) {
        try {
            MapJson.read(text);
            return true;
        } catch (ProblemsException e) {
            return false;
        }
    }

    /** Changed as "this > that" says, the text is neither read nor valid. */
    private static void assertNeither(String text, String change) {
        List<String> parts = List.of(change.split(" > "));
        String changed = text.replace(parts.get(0), parts.get(1));
        assertThat(changed).isNotEqualTo(text);
        assertThat(isRead(changed)).as("read").isFalse();
        assertThat(isValid(changed)).as("valid").isFalse();
    }

    @Test
    void theDemoMapAndTheSmallestAreValid() {
        assertThat(SCHEMA.validate(MapJson.writeText(MapFolder.read(Path.of("../demo/map"))), InputFormat.JSON)).isEmpty();
        assertThat(SCHEMA.validate(SMALL, InputFormat.JSON)).isEmpty();
        assertThat(isRead(SMALL)).isTrue();
    }

    /** The small map with every field that a map may have beside. */
    static final String FULL = SMALL
            .replace("\"stage\":\"settled\"", "\"alsoCalled\":[\"flat\"],\"stage\":\"settled\",\"where\":\"astride\"")
            .replace("\"entry\":1", """
                    "facts":{"heavy":true},"yours":{"near-arm":"elbow to the ribs"},"entry":1,"oneAnswer":"There is no room",
                    "feeder":{"weight":"hips low","care":"no hand on the throat","gives":"a hand on the mat"}},
                    {"id":"guard","title":"Guard","family":"mount","rest":"guard","feeds":["low"]""")
            .replace("\"kind\":\"reversal\"", "\"kind\":\"reversal\",\"then\":\"low\"")
            .replace("\"works\":\"often\"", "\"when\":\"A hand on the mat\",\"works\":\"often\",\"stuffed\":\"low\"")
            .replace("\"reactions\":[", """
                    "reactions":[{"id":"no","from":"low","technique":"trap","doNot":"It gives the back","seconds":1,
                    "works":"usually"},""")
            .replace("{\"reversal\":1}", "{\"reversal\":1},\"places\":{\"low\":0.25,\"tap\":0}")
            .replace("\"techniques\":[", """
                    "facts":[{"id":"heavy","title":"Heavy","measured":{"gauge":"they-heavier","from":25}}],
                    "movements":[{"id":"bridge","title":"Bridge","alsoCalled":["upa"],"steps":["Feet in","Hips up"],
                    "faults":[{"sign":"You slide","fix":"Over the shoulder"}],"bothSides":false,"repetitions":10}],"techniques":[""")
            .replace("\"checkpoints\":", "\"alsoCalled\":[\"buck\"],\"checkpoints\":")
            .replace("{\"id\":\"n2\",\"title\":\"Knees tight\"}]}", """
                    {"id":"n2","title":"Knees tight","stage":"joined","likely":"sometimes","seenFrom":{"settled":0.7},
                    "sign":"You cannot turn","openings":[{"fault":"Knees wide","leaves":"a knee in"}]}]},
                    "cautions":["Mind the ribs"],"feeder":{"weight":"half of it"},
                    "arms":[{"id":"in","title":"Elbows in","denies":["n2"],"gives":["n1"]}]""");

    @Test
    void everyFieldComesBackAsItWasWritten() {
        EscapeMap map = MapJson.read(FULL);
        assertThat(MapJson.read(MapJson.write(map))).isEqualTo(map);
        assertThat(SCHEMA.validate(FULL, InputFormat.JSON)).isEmpty();
        assertThat(SCHEMA.validate(MapJson.writeText(map), InputFormat.JSON)).isEmpty();
        assertThat(map.situations().get(0).notes().feeder().care()).isEqualTo("no hand on the throat");
        assertThat(map.situations().get(1).stage()).isEmpty();
        assertThat(map.reactions().get(0).isWrong()).isTrue();
        assertThat(map.aims().get(0).places()).hasSize(2);
        assertThat(map.movements().get(0).bothSides()).isFalse();
        assertThat(map.holds().get(0).arms().get(0).gives()).containsExactly(Id.of("n1"));
        assertThat(map.holds().get(0).requirement().needs().get(1).built().chance(Stage.SETTLED)).hasValue(0.7);
        assertThat(map.holds().get(0).requirement().needs().get(1).built().chance(Stage.LAST_CHANCE)).hasValue(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "\"where\":\"astride\" > \"where\":\"somewhere\"",
        "\"rest\":\"guard\",\"feeds\" > \"feeds\"",
        "\"from\":25 > \"from\":-1",
        "\"gauge\":\"they-heavier\" > \"gauge\":\"above-level\"",
        "\"repetitions\":10 > \"repetitions\":2.5",
        "\"repetitions\":10 > \"repetitions\":101",
        "\"bothSides\":false > \"bothSides\":\"no\"",
        "\"steps\":[\"Feet in\" > \"steps\":[\"\"",
        "\"low\":0.25 > \"low\":1.25",
        "\"low\":0.25 > \"Low\":0.25",
        "{\"near-arm\":\"elbow to the ribs\"} > {\"tail\":\"up\"}",
        "\"weight\":\"hips low\" > \"mass\":\"hips low\"",
        "\"then\":\"low\" > \"then\":null",
        "[\"buck\"] > \"buck\"",
        "\"alsoCalled\":[\"flat\"],\"stage\":\"settled\" > \"alsoCalled\":[\"flat\"]",
        "\"likely\":\"sometimes\" > \"likely\":1.5",
        "\"likely\":\"sometimes\" > \"likely\":null",
        "\"seenFrom\":{\"settled\":0.7} > \"seenFrom\":{\"late\":0.7}",
        "\"seenFrom\":{\"settled\":0.7} > \"seenFrom\":{\"settled\":-0.1}",
        "\"stage\":\"joined\" > \"stage\":\"later\"",
        "\"leaves\":\"a knee in\" > \"leaves\":\"\"",
        "\"sign\":\"You cannot turn\" > \"sign\":2",
        "[\"Mind the ribs\"] > \"Mind the ribs\"",
        "\"denies\":[\"n2\"] > \"denies\":[\"N 2\"]",
        "\"id\":\"in\",\"title\" > \"title\"",
        "\"when\":\"A hand on the mat\" > \"when\":1"})
    void whatTheReaderRefusesOfTheRestIsNotValid(String change) {
        assertNeither(FULL, change);
    }

    /** Each line changes the small map so that its shape or a range is wrong. */
    @ParameterizedTest
    @ValueSource(strings = {
        "\"format\":\"narrowgate-map/1\" > \"format\":\"narrowgate-map/9\"",
        "\"title\":\"One pin\" > \"title\":\" \"",
        "\"title\":\"One pin\" > \"titel\":\"One pin\"",
        "\"title\":\"Low\" > \"title\":\"<b>Low\"",
        "\"id\":\"trap\" > \"id\":\"Trap it\"",
        "\"stage\":\"settled\" > \"stage\":\"late\"",
        "{\"hips\":\"seat\"} > {\"tail\":\"seat\"}",
        "\"seconds\":6 > \"seconds\":0",
        "\"seconds\":6 > \"seconds\":\"six\"",
        "\"entry\":1 > \"entry\":-1",
        "\"kind\":\"reversal\" > \"kind\":\"win\"",
        "\"works\":\"often\" > \"works\":\"always\"",
        "\"works\":\"often\" > \"works\":1.2",
        "\"often\":6 > \"often\":0",
        "\"seconds\":1.5 > \"seconds\":121",
        "\"worth\":{\"reversal\":1} > \"worth\":{\"reversal\":2}",
        "\"work\":2 > \"work\":6",
        "\"format\":\"narrowgate-map/1\" > \"format\":\"?\"",
        "\"format\":\"narrowgate-map/1\" > \"format\":null",
        "\"entry\":1 > \"entry\":null",
        "\"checkpoints\":[\"Feet in\"] > \"stance\":null",
        "\"checkpoints\":[\"Feet in\"] > \"children\":null",
        "\"checkpoints\":[\"Feet in\"] > \"avoidWith\":[\"?\"]",
        "\"checkpoints\":[\"Feet in\"] > \"movements\":[\"?\"]",
        "\"title\":\"One pin\" > \"title\":\"One pin\",\"house\":{\"matchup\":null}",
        "\"title\":\"One pin\" > \"title\":\"One pin\",\"house\":{\"thinking\":{\"base\":11,\"perBit\":0}}",
        "\"title\":\"One pin\" > \"title\":\"One pin\",\"house\":{\"grips\":[{\"title\":\"Hook\",\"grade\":11}]}",
        "\"title\":\"One pin\" > \"title\":\"One pin\",\"house\":{\"grips\":[{\"grade\":2}]}",
        "\"kind\":\"pin\" > \"kind\":\"clamp\"",
        "\"works\":\"often\" > \"works\":0.47,\"source\":{\"chance\":0.47,\"before\":\"often\",\"noted\":16,\"until\":\"2026-09-03\"}",
        "\"works\":\"often\" > \"works\":0.47,\"source\":{\"chance\":0.47,\"before\":\"often\",\"tries\":24.5,\"noted\":16,\"until\":\"September\"}",
        "[\"Feet in\"] > \"Feet in\""})
    void whatTheReaderRefusesIsNotValid(String change) {
        assertNeither(SMALL, change);
    }

    /** Where nothing is said by null, and where a question mark is just a text. */
    @ParameterizedTest
    @ValueSource(strings = {
        "\"entry\":1 > \"rest\":null",
        "\"clock\":{\"seconds\":6,\"becomes\":\"tap\"} > \"clock\":null",
        "\"leads\":\"top\" > \"leads\":null",
        "\"works\":\"often\" > \"works\":\"often\",\"stuffed\":null",
        "\"works\":\"often\" > \"works\":0.47,\"source\":{\"chance\":0.47,\"before\":\"often\",\"tries\":24.5,\"noted\":16,\"until\":\"2026-09-03\"}",
        "\"title\":\"One pin\" > \"title\":\"?\",\"about\":\"?\""})
    void whatTheReaderTakesIsValid(String change) {
        List<String> parts = List.of(change.split(" > "));
        String changed = SMALL.replace(parts.get(0), parts.get(1));
        assertThat(changed).isNotEqualTo(SMALL);
        assertThat(isRead(changed)).as("read").isTrue();
        assertThat(isValid(changed)).as("valid").isTrue();
    }

    @Test
    void aQuestionMarkIsATextLikeAnyOther() {
        EscapeMap map = MapJson.read(SMALL.replace("\"title\":\"One pin\"", "\"title\":\"?\",\"about\":\"?\""));
        assertThat(map.title()).isEqualTo("?");
        assertThat(map.about()).isEqualTo("?");
        assertThat(MapJson.read(MapJson.write(map))).isEqualTo(map);
    }

    @Test
    void theHouseComesBackAsItWasWritten() {
        EscapeMap map = MapJson.read(SMALL.replace("\"aims\":",
                "\"matchups\":[{\"id\":\"big\",\"title\":\"Big\"}],\"house\":{\"matchup\":\"big\","
                        + "\"thinking\":{\"base\":0.3,\"perBit\":0.1},\"grips\":[{\"title\":\"Hook\",\"grade\":1.5}]},\"aims\":"));
        assertThat(map.houseMatchup().title()).isEqualTo("Big");
        assertThat(map.house().grips()).containsExactly(new GripGrade("Hook", 1.5));
        assertThat(MapJson.read(SMALL).house().grips()).isEqualTo(House.USUAL_GRIPS);
        assertThat(MapJson.read(MapJson.write(map))).isEqualTo(map);
        assertThat(SCHEMA.validate(MapJson.writeText(map), InputFormat.JSON)).isEmpty();
    }
}
