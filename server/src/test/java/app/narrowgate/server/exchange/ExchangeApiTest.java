package app.narrowgate.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.exchange.map.MapZip;
import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class ExchangeApiTest extends DemoMapTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static int revision() {
        return client.get(map).json().get("revision").intValue();
    }

    private static String body(String format, String text, boolean whole) {
        return JSON.writeValueAsString(JSON.createObjectNode().put("revision", revision()).put("format", format)
                .put("text", text).put("whole", whole));
    }

    @Test
    void aTableGoesOutComesBackPreviewedAndCanBeUndone() {
        Answer table = client.get(map + "/links");
        assertThat(table.type()).startsWith("text/csv");
        assertThat(client.post(map + "/import/preview", body("csv", table.text(), true)).json().get("changes")).isEmpty();

        String more = "situation,technique,cue,often,leads\r\nmount-low,Elbow knee,They settle back,often,Half guard\r\n";
        int before = revision();
        JsonNode preview = client.post(map + "/import/preview", body("csv", more, false)).json();
        assertThat(preview.get("added").intValue()).isEqualTo(2);
        assertThat(preview.get("removed").intValue()).isZero();
        assertThat(revision()).as("a preview stores nothing").isEqualTo(before);

        Answer read = client.post(map + "/import", body("csv", more, false));
        assertThat(read.status()).as(read.text()).isEqualTo(200);
        assertThat(client.get(map).text()).contains("They settle back");
        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(client.get(map).text()).doesNotContain("They settle back");
    }

    @Test
    void everyFaultIsNamedAndNothingIsStored() {
        int before = revision();
        Answer refused = client.post(map + "/import", body("csv", "situation,technique,cue\nmoon,a,b\npin,,\n", false));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("problems").findValuesAsString("place"))
                .containsExactly("line 2, situation", "line 3, situation");
        Answer broken = client.post(map + "/import/preview", body("json", "{\"format\":\n 7", false));
        assertThat(broken.json().get("problems").get(0).get("place").stringValue()).startsWith("line 2");
        assertThat(client.post(map + "/import", body("xls", "", false)).status()).isEqualTo(422);
        assertThat(revision()).isEqualTo(before);
    }

    @Test
    void aMapFileIsReadInWhole() {
        String file = client.get(map + "/file").text();
        String renamed = file.replace("Shin on the belly", "Shin across the belly");
        JsonNode preview = client.post(map + "/import/preview", body("json", renamed, true)).json();
        assertThat(preview.get("changed").intValue()).isEqualTo(1);
        assertThat(preview.get("changes").get(0).get("fields").get(0).get("after").stringValue())
                .isEqualTo("Shin across the belly");
        assertThat(client.post(map + "/import", body("json", renamed, true)).status()).isEqualTo(200);
        client.post(map + "/undo?revision=" + revision(), "");
        assertThat(client.get(map + "/file").text()).isEqualTo(file);
    }

    @Test
    void graphsAndTheSchemaAreHandedOut() {
        assertThat(client.get(map + "/graphml").text()).contains("<graphml").contains("mount-low");
        assertThat(client.get(map + "/dot").text()).contains("digraph").contains("mount-low");
        assertThat(client.get("/api/formats/map-schema").json().get("$schema").stringValue()).contains("2020-12");
        assertThat(server.client().get(map + "/links").status()).isEqualTo(401);
    }

    /** The archive that is handed out, and the same read in again, which changes nothing. */
    @Test
    void anArchiveOfPartsGoesOutAndComesIn() {
        TestClient.Answer archive = client.get(map + "/folder");
        assertThat(archive.status()).isEqualTo(200);
        assertThat(archive.type()).isEqualTo("application/zip");
        EscapeMap now = MapJson.read(client.get(map + "/file").text());
        String bytes = Base64.getEncoder().encodeToString(MapZip.write(now));
        int revision = client.get(map).json().get("revision").intValue();
        String body = "{\"revision\":%d,\"format\":\"zip\",\"text\":\"%s\",\"whole\":true}";
        TestClient.Answer preview = client.post(map + "/import/preview", body.formatted(revision, bytes));
        assertThat(preview.status()).as(preview.text()).isEqualTo(200);
        assertThat(preview.json().get("changes").size()).isZero();
        TestClient.Answer broken = client.post(map + "/import/preview", body.formatted(revision, bytes.substring(0, 400)));
        assertThat(broken.status()).isEqualTo(422);
        assertThat(client.post(map + "/import/preview", body.formatted(revision, "no bytes!")).status()).isEqualTo(422);
    }
}
