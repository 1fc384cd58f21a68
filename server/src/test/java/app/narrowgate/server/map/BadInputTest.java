package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Whatever is sent, the answer is a 4xx that names what is wrong, and the map stays as it was. */
class BadInputTest extends DemoMapTest {

    private static void refused(Answer answer) {
        assertThat(answer.status()).as(answer.text()).isBetween(400, 499);
        assertThat(answer.type()).startsWith("application/problem+json");
        assertThat(answer.json().get("detail").stringValue()).isNotBlank()
                .doesNotContain("Exception", "java.", "tools.jackson", "select ");
    }

    @ParameterizedTest
    @ValueSource(strings = {
        "\"cue\":5,\"often\":{\"word\":\"often\"}",
        "\"cue\":\"\",\"often\":{\"word\":\"often\"}",
        "\"cue\":\"   \",\"often\":{\"word\":\"often\"}",
        "\"cue\":\"They wait\"",
        "\"cue\":\"They wait\",\"often\":\"often\"",
        "\"cue\":\"They wait\",\"often\":{}",
        "\"cue\":\"They wait\",\"often\":{\"word\":\"always\"}",
        "\"cue\":\"They wait\",\"often\":{\"word\":\"often\",\"number\":2}",
        "\"cue\":\"They wait\",\"often\":{\"number\":0}",
        "\"cue\":\"They wait\",\"often\":{\"number\":-3}",
        "\"cue\":\"They wait\",\"often\":{\"number\":1e300}",
        "\"cue\":\"They wait\",\"often\":{\"number\":1e999}",
        "\"cue\":\"They wait\",\"often\":{\"number\":\"NaN\"}",
        "\"cue\":\"They wait\",\"often\":{\"number\":NaN}",
        "\"cue\":\"They wait\",\"often\":{\"number\":\"6\"}",
        "\"cue\":\"They wait\",\"often\":{\"word\":\"often\"},\"leads\":\"nowhere\"",
        "\"cue\":\"They wait\",\"often\":{\"word\":\"often\"},\"leads\":\"../../etc/passwd\"",
        "\"cue\":\"They wait\",\"often\":{\"word\":\"often\"},\"owner\":\"me\"",
        "\"cue\":\"<script>alert(1)</script>\",\"often\":{\"word\":\"often\"}",
        "\"cue\":\"They\\u0000wait\",\"often\":{\"word\":\"often\"}"})
    void aBadResponseIsRefusedAndNothingIsStored(String fields) {
        String before = client.get(map).text();
        refused(client.post(map + "/reactions/hub-roll/responses", "{\"revision\":1," + fields + "}"));
        assertThat(client.get(map).text()).isEqualTo(before);
    }

    @ParameterizedTest
    @ValueSource(strings = {"-1", "121", "1e99", "\"2\"", "null", "true", "[2]"})
    void aBadTimeIsRefused(String seconds) {
        refused(client.putPart(map, 1, "reactions", "new", """
                {"from":"mount-low","technique":"trap-and-bridge","works":"often","responses":[],"seconds":%s}"""
                .formatted(seconds)));
    }

    @ParameterizedTest
    @CsvSource({"0", "-4", "99999", "2147483648", "one"})
    void aRevisionThatNeverWasIsRefused(String revision) {
        refused(client.post(map + "/reactions/hub-roll/responses",
                "{\"revision\":%s,\"cue\":\"They wait\",\"often\":{\"word\":\"often\"}}".formatted(revision)));
    }

    @ParameterizedTest
    @ValueSource(strings = {"?read=2", "?read=-0.1", "?read=NaN", "?read=much", "?late=-1", "?late=1e9", "?late=NaN",
        "?aim=gold", "?aim=%3Cscript%3E"})
    void badQuestionsAreRefused(String query) {
        refused(client.get(map + "/odds" + query));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/maps/not-a-uuid", "/api/maps/00000000-0000-0000-0000-000000000000",
        "/api/maps/00000000-0000-0000-0000-000000000000/odds", "/api/nowhere"})
    void unknownAddressesAreRefused(String path) {
        refused(client.get(path));
    }

    @ParameterizedTest
    @CsvSource({"nobody,8,3,left,1", "mount-low,0,3,left,1", "mount-low,NaN,3,left,1", "mount-low,8,7,left,1",
        "mount-low,8,3,up,1", "mount-low,8,3,left,-1", "mount-low,eight,3,left,1"})
    void badDrillsAreRefused(String situation, String minutes, String links, String side, String seed) {
        refused(client.get(map + "/situations/%s/drill?minutes=%s&links=%s&weakSide=%s&seed=%s"
                .formatted(situation, minutes, links, side, seed)));
    }

    @Test
    void aBodyOfTwentyMegabytesIsRefusedBeforeItIsRead() {
        Answer answer = client.post("/api/maps", "\"" + "x".repeat(20 * 1024 * 1024) + "\"");
        assertThat(answer.status()).isEqualTo(413);
        refused(answer);
    }

    @Test
    void aBadMapFileIsRefusedWithEveryProblemAndNothingIsStored() {
        String file = client.get(map + "/file").text()
                .replace("\"kind\" : \"tap\"", "\"kind\" : \"nap\"")
                .replace("\"seconds\" : 2.1", "\"seconds\" : -2.1")
                .replaceFirst("\"leads\" : \"hip-connection\"", "\"leads\" : \"hip-conection\"");
        Answer answer = client.post("/api/maps", file);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("problems").findValuesAsString("place")).hasSize(3)
                .anyMatch(place -> place.matches("/outcomes/\\d+/kind"))
                .anyMatch(place -> place.matches("/reactions/\\d+/seconds"))
                .anyMatch(place -> place.matches("/reactions/\\d+/responses/\\d+/leads"));
        assertThat(client.get("/api/maps").json().size()).isEqualTo(1);
    }

    @Test
    void nothingButJsonIsTaken() {
        refused(client.post("/api/maps", "title: a map"));
        refused(client.put("/api/maps", "{}"));
    }
}
