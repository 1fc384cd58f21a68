package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** The map as a browser takes it along to solve it. */
class CarriedMapTest extends DemoMapTest {

    @Test
    void itHasTheRevisionAndEverythingThatOddsHangOn() {
        JsonNode whole = client.get(map).json();
        JsonNode carried = client.get(map + "/carried").json();
        assertThat(carried.get("revision")).isEqualTo(whole.get("revision"));
        EscapeMap read = MapJson.read(carried.get("map"));
        assertThat(read.holds()).isEmpty();
        assertThat(read.postures()).isEmpty();
        Setting setting = Setting.of(Id.of("guard-or-better")).withRead(0.25).withLate(0.5);
        JsonNode odds = client.get(map + "/odds?aim=guard-or-better&read=0.25&late=0.5").json();
        MapIndex index = MapIndex.of(read);
        assertThat(OddsSolver.solve(index, new Setting(setting.aim(), setting.read(), setting.late(), read.house().thinking(),
                read.houseMatchup(), read.houseStances(), setting.without())).start())
                .isCloseTo(odds.get("start").doubleValue(), within(1e-9));
    }

    /** What a device has kept is edited there: nothing of a part is lost but the name of its posture, which the map itself says. */
    @Test
    void itsPartsAreThoseThatAreEdited() {
        JsonNode carried = client.get(map + "/carried").json().get("map");
        for (String list : List.of("families", "facts", "principles", "movements", "techniques", "situations", "outcomes", "reactions",
                "aims", "matchups")) {
            assertThat(carried.get(list).size()).as(list).isPositive();
            for (JsonNode part : List.of(carried.get(list).get(0), carried.get(list).get(carried.get(list).size() - 1))) {
                ObjectNode edited = (ObjectNode) client.get(map + "/parts/" + list + "/" + part.get("id").stringValue()).json();
                edited.remove("posture");
                assertThat(part).as(list).isEqualTo(edited);
            }
        }
    }

    @Test
    void aMapThatIsNotThereIsNotFound() {
        Answer answer = client.get("/api/maps/00000000-0000-0000-0000-000000000001/carried");
        assertThat(answer.status()).isEqualTo(404);
    }
}
