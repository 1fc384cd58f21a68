package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import org.junit.jupiter.api.Test;

class MapFileTest {

    @Test
    void aFileComesBackAsItWentIn() {
        try (TestServer server = TestServer.start()) {
            TestClient client = server.signedIn();
            String file = client.get("/api/maps/" + client.firstMap() + "/file").text();
            Answer stored = client.post("/api/maps", file);
            assertThat(stored.status()).isEqualTo(201);
            String copy = "/api/maps/" + stored.json().get("id").stringValue();
            assertThat(client.get(copy + "/file").text()).isEqualTo(file);
            assertThat(client.get(copy + "/odds").json().get("start"))
                    .isEqualTo(client.get("/api/maps/" + client.firstMap() + "/odds").json().get("start"));
        }
    }
}
