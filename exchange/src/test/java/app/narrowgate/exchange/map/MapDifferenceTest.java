package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.exchange.tree.TreeDifference;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two states of the demo's map, told apart in the map's words. */
class MapDifferenceTest {

    private static final EscapeMap MAP = MapFolder.read(Path.of("../demo/map"));

    @Test
    void aMapDoesNotDifferFromItself() {
        assertThat(MapDifference.between(MAP, MapJson.read(MapJson.writeText(MAP)))).isEmpty();
    }

    @Test
    void whatIsGoneIsNamedWithWhatItLeavesBehind() {
        EscapeMap without = MAP.without(PartKind.REACTIONS, Id.of("low-trap-bridge"));
        String title = MapIndex.of(MAP).title(PartKind.REACTIONS, Id.of("low-trap-bridge"));
        List<MapDifference.Change> changes = MapDifference.between(MAP, without);
        assertThat(changes).filteredOn(change -> change.kind() == MapDifference.Kind.REMOVED).singleElement()
                .satisfies(change -> assertThat(change.title()).isEqualTo(title));
        assertThat(changes).filteredOn(change -> change.id().equals("mount-pin")).singleElement()
                .satisfies(change -> assertThat(change.fields()).as("only the need that it denied").hasSize(1)
                        .allMatch(field -> field.before().contains(title)));
    }

    @Test
    void aNewTitleIsTheMapsOwnChange() {
        assertThat(MapDifference.between(MAP, MAP.titled("Another"))).containsExactly(new MapDifference.Change("map", "map",
                "Another", MapDifference.Kind.CHANGED,
                List.of(new TreeDifference.Field("title", MAP.title(), "Another"))));
    }

    /** What a map says beside its odds: each change is found where it was made, and a merge brings it along. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '#', value = {
        "reactions  | no      | It gives the back        | It gives the arm          | doNot",
        "reactions  | r       | A hand on the mat        | A hand beside your hip    | when",
        "situations | low     | elbow to the ribs        | elbow to the hip          | yours",
        "situations | low     | no hand on the throat    | nothing on the ribs       | feeder",
        "situations | low     | There is no room         | Nobody has another        | oneAnswer",
        "situations | low     | \"astride\"            | \"beside\"              | where",
        "situations | guard   | \"feeds\":[\"low\"] | \"feeds\":[\"guard\"] | feeds",
        "outcomes   | top     | \"then\":\"low\"    | \"then\":\"guard\"  | then",
        "aims       | out     | \"low\":0.25          | \"low\":0.5            | places",
        "facts      | heavy   | \"from\":25           | \"from\":30            | measured",
        "movements  | bridge  | \"Hips up\"           | \"Hips high\"          | steps",
        "movements  | bridge  | You slide                | You turn                  | faults",
        "movements  | bridge  | \"repetitions\":10    | \"repetitions\":20     | repetitions",
        "techniques | trap    | \"buck\"              | \"heave\"              | alsoCalled"})
    void whatIsSaidBesideTheOddsIsToldApartAndMerged(String list, String id, String was, String is, String field) {
        String changed = MapSchemaTest.FULL.replace(was, is);
        assertThat(changed).isNotEqualTo(MapSchemaTest.FULL);
        EscapeMap before = MapJson.read(MapSchemaTest.FULL);
        EscapeMap after = MapJson.read(changed);
        assertThat(MapDifference.between(before, after)).singleElement().satisfies(change -> {
            assertThat(change.list()).isEqualTo(list);
            assertThat(change.id()).isEqualTo(id);
            assertThat(change.fields()).isNotEmpty().allMatch(told -> told.field().startsWith(field));
        });
        assertThat(MapMerge.into(before, after)).isEqualTo(after);
    }
}
