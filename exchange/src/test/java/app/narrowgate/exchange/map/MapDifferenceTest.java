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
}
