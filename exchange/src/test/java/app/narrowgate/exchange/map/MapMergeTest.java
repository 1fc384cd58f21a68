package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import org.junit.jupiter.api.Test;

class MapMergeTest {

    @Test
    void partsOfTheSameIdAreChangedOthersAddedAndTheRestStays() {
        EscapeMap map = new MapFixture().situation("pin").reaction("pin", 0.5, "win").situation("mount").map();
        EscapeMap file = new MapFixture().situation("pin").reaction("pin", 0.9, "tap").situation("back").map();
        EscapeMap merged = MapMerge.into(map, file.titled("Other"));
        assertThat(merged.title()).isEqualTo("Fixture");
        assertThat(merged.situations()).extracting(s -> s.id().value()).containsExactly("pin", "mount", "back");
        assertThat(merged.reactions()).hasSize(1);
        assertThat(merged.reactions().get(0).works().chance()).isEqualTo(0.9);
        assertThat(merged.reactions().get(0).responses().get(0).leads()).contains(Id.of("tap"));
        assertThat(MapMerge.into(map, map)).isEqualTo(map);
    }
}
