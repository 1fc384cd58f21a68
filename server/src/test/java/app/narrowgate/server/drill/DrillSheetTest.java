package app.narrowgate.server.drill;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class DrillSheetTest {

    @Test
    void aSheetIsInWordsAndRepeatsWithItsSeed() {
        try (TestServer server = TestServer.start()) {
            TestClient client = server.signedIn();
            String path = "/api/maps/" + client.firstMap() + "/situations/mount-low/drill?minutes=10&links=2&seed=";
            JsonNode sheet = client.get(path + "7").json();
            assertThat(sheet.get("situationTitle").stringValue()).isEqualTo("Low, arms round your head");
            assertThat(sheet.get("links").get(0).get("answer").stringValue())
                    .isEqualTo("Trap an arm and a foot, bridge over that shoulder");
            assertThat(sheet.get("blocks").size()).isEqualTo(4);
            assertThat(sheet.get("minutes").doubleValue()).isBetween(5.0, 10.0);
            assertThat(sheet.get("cautions").get(0).stringValue()).contains("neck");
            assertThat(client.get(path + "7").json()).isEqualTo(sheet);
            assertThat(client.get(path + "8").json()).isNotEqualTo(sheet);
        }
    }
}
