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

    @ParameterizedTest
    @ValueSource(strings = {"?read=%ff", "?%", "?=", "?read=%00", "?%ff=1", "?read=%ED%A0%80"})
    void aQuestionThatCannotBeReadIsRefused(String query) {
        refused(client.raw(map + "/odds" + query));
        refused(server.client().raw("/api/session" + query));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/parts", "/odds/preview", "/holds/preview"})
    void noPartIsNoPart(String path) {
        refused(client.post(map + path, "{\"revision\":1,\"summary\":\"x\",\"parts\":[null]}"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"\\u0000", "\\ud800", "x\\udfff", "\\uffff", "\\u200b", "\\u3164"})
    void whatIsNoTextIsRefusedWhereverItIsSent(String text) {
        String before = client.get(map + "/file").text();
        refused(client.post("/api/session", "{\"name\":\"%s\",\"password\":\"%s\"}".formatted(text, text)));
        refused(client.putPart(map, 1, "facts", "new", "{\"title\":\"%s\"}".formatted(text)));
        refused(client.post(map + "/parts", """
                {"revision":1,"summary":"%s","parts":[{"list":"facts","id":"wet","part":{"title":"Wet"}}]}""".formatted(text)));
        refused(client.put(map + "/review/dismissals", """
                {"kind":"dead-end","place":"mount-low","reason":"%s"}""".formatted(text)));
        refused(client.post("/api/maps", before.replaceFirst("\"title\" : \"[^\"]*\"",
                java.util.regex.Matcher.quoteReplacement("\"title\" : \"" + text + "\""))));
        refused(client.post("/api/maps", "{\"%s\":1}".formatted(text)));
        assertThat(client.get(map + "/file").text()).isEqualTo(before);
    }

    @Test
    void aNumberOfFourHundredDigitsIsTooLarge() {
        String digits = "9".repeat(400);
        refused(client.putPart(map, 1, "situations", "mount-low", """
                {"title":"Low","family":"mount","stage":"settled","entry":%s}""".formatted(digits)));
        refused(client.post(map + "/reactions/hub-roll/responses",
                "{\"revision\":%s,\"cue\":\"They wait\",\"often\":{\"number\":%s}}".formatted(digits, digits)));
    }

    @Test
    void textsAreKeptComposedAndReadAsTheyStand() {
        Answer answer = client.post(map + "/reactions/hub-roll/responses", """
                {"revision":%d,"cue":"They u\\u0308berrollen \\u202Eyou","often":{"word":"rarely"}}"""
                .formatted(client.get(map).json().get("revision").intValue()));
        assertThat(answer.text()).contains("They \u00FCberrollen you");
        client.post(map + "/undo?revision=" + answer.json().get("revision").intValue(), "");
    }

    @Test
    void theErrorPageAskedForByItselfIsNotThere() {
        Answer answer = client.get("/error");
        assertThat(answer.status()).isEqualTo(404);
        refused(answer);
    }

    @Test
    void aCookieThatNamesNoSessionIsNone() {
        for (String cookie : new String[] {"AAAA", "AAECAwQ=", "%00", "x".repeat(6000)}) {
            Answer answer = server.client().withCookie("NGSESSION", cookie).get("/api/maps");
            assertThat(answer.status()).as(cookie.substring(0, Math.min(10, cookie.length()))).isEqualTo(401);
        }
    }

    @Test
    void aBodyOfTwentyMegabytesIsRefusedBeforeItIsRead() {
        Answer answer = client.post("/api/maps", "\"" + "x".repeat(20 * 1024 * 1024) + "\"");
        assertThat(answer.status()).isEqualTo(413);
        refused(answer);
    }

    @ParameterizedTest
    @CsvSource({"40,100000", "12,100000", "12,10000"})
    void aFileOfNothingIsRefusedInFewWords(int reactions, int responses) {
        String reaction = "{\"responses\":[{}" + ",{}".repeat(responses - 1) + "]}";
        Answer answer = client.post("/api/maps", "{\"format\":\"narrowgate-map/1\",\"title\":\"Nothing\",\"reactions\":["
                + reaction + ("," + reaction).repeat(reactions - 1) + "]}");
        refused(answer);
        assertThat(answer.text().length()).isLessThan(100_000);
        assertThat(answer.json().get("problems").size()).isBetween(1, 201);
        assertThat(client.get("/api/maps").status()).isEqualTo(200);
    }

    @Test
    void aFileOfUnknownNamesIsRefusedInFewWords() {
        StringBuilder file = new StringBuilder("{\"format\":\"narrowgate-map/1\",\"title\":\"Names\"");
        for (int i = 0; i < 900_000; i++) {
            file.append(",\"k").append(i).append("\":1");
        }
        Answer answer = client.post("/api/maps", file.append('}').toString());
        refused(answer);
        assertThat(answer.json().get("problems").size()).isLessThanOrEqualTo(201);
        assertThat(client.get("/api/maps").status()).isEqualTo(200);
    }

    @Test
    void whatIsNestedTooDeepIsRefused() {
        refused(client.post("/api/maps", "{\"format\":\"narrowgate-map/1\",\"title\":" + "[".repeat(5000) + "]".repeat(5000) + "}"));
        refused(client.putPart(map, 1, "facts", "deep", "{\"title\":" + "[".repeat(5000) + "]".repeat(5000) + "}"));
    }

    @Test
    void anEditIsNoFile() {
        Answer answer = client.putPart(map, 1, "facts", "long", "{\"title\":\"" + "x".repeat(3_000_000) + "\"}");
        assertThat(answer.status()).isEqualTo(413);
        refused(answer);
        Answer stranger = server.client().post("/api/session", "{\"name\":\"" + "x".repeat(20_000) + "\",\"password\":\"x\"}");
        assertThat(stranger.status()).isEqualTo(413);
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

    /** The connector refuses these before anything of the program is asked. */
    @Test
    void whatTheConnectorRefusesHasASentenceToo() {
        for (String path : new String[] {map + "/questions/%5C", "/api/maps/%00", "/api/{maps}"}) {
            Answer answer = client.raw(path);
            assertThat(answer.status()).as(path).isEqualTo(400);
            assertThat(answer.type()).as(path).startsWith("application/problem+json");
            assertThat(answer.json().get("detail").stringValue()).as(path).contains("not well formed");
        }
    }

    @Test
    void aPasswordIsNeverRepeated() {
        String password = "secret-".repeat(40);
        Answer answer = server.client().post("/api/session", "{\"name\":\"tamsin\",\"password\":\"%s\"}".formatted(password));
        assertThat(answer.text()).doesNotContain("secret-");
    }
}
