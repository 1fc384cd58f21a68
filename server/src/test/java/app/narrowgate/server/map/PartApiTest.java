package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import app.narrowgate.server.TestClient.Answer;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

class PartApiTest extends DemoMapTest {

    private String copy;

    @BeforeEach
    void copyTheMap() {
        Answer made = client.post("/api/maps/new", """
                {"title":"A copy","source":"copy","from":"%s"}""".formatted(client.firstMap()));
        assertThat(made.status()).isEqualTo(201);
        copy = "/api/maps/" + made.json().get("id").stringValue();
    }

    private int revision() {
        return client.get(copy).json().get("revision").intValue();
    }

    private static String edit(int revision, JsonNode part) {
        return "{\"revision\":%d,\"part\":%s}".formatted(revision, part);
    }

    @Test
    void aFaultIsToldWhereItWasTypedNotInTheSummaryThatQuotesIt() {
        Answer answer = client.post(copy + "/parts", """
                {"revision":%d,"summary":"Changed “They <post>”","parts":[{"list":"reactions","id":"hub-roll-2","part":
                 {"from":"mount-low","technique":"trap-and-bridge","seconds":1,"works":"often",
                  "responses":[{"id":"post","cue":"They <post>","often":"often"}]}}]}""".formatted(revision()));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.json().get("problems").findValuesAsString("place")).containsExactly("/responses/0/cue");
    }

    @Test
    void aSummaryIsPlainWordsToo() {
        String file = client.get(copy + "/file").text();
        Answer answer = client.post(copy + "/parts", """
                {"revision":%d,"summary":"<b>loud</b>","parts":[{"list":"facts","id":"wet","part":{"title":"It is wet"}}]}"""
                .formatted(revision()));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.text()).contains("The summary");
        assertThat(client.get(copy + "/file").text()).isEqualTo(file);
    }

    @Test
    void aSituationIsAddedChangedPreviewedAndTakenOut() {
        Answer added = client.putPart(copy, revision(), "situations", "wrestler-s-ride", """
                {"title":"Wrestler’s ride","family":"turtle","stage":"joined",
                 "clock":{"seconds":4,"becomes":"back-joined"},"entry":1}""");
        assertThat(added.status()).as(added.text()).isEqualTo(200);
        String part = copy + "/parts/situations/wrestler-s-ride";
        String changed = client.get(part).text().replace("\"seconds\":4", "\"seconds\":9");

        JsonNode preview = client.post(copy + "/odds/preview", """
                {"parts":[{"list":"situations","id":"wrestler-s-ride","part":%s}]}""".formatted(changed)).json();
        assertThat(preview.get("start").doubleValue()).isPositive();
        assertThat(client.get(part).text()).as("a preview stores nothing").contains("\"seconds\":4");

        assertThat(client.putPart(copy, revision(), "situations", "wrestler-s-ride", changed).status()).isEqualTo(200);
        assertThat(client.get(part).text()).contains("\"seconds\":9");
        assertThat(client.delete(part + "?revision=" + revision()).status()).isEqualTo(200);
        assertThat(client.get(part).status()).isEqualTo(404);
    }

    @Test
    void anIdThatBelongedToSomethingIsNotGivenToSomethingElse() {
        client.putPart(copy, revision(), "facts", "ice", "{\"title\":\"The mat is ice\"}");
        assertThat(client.delete(copy + "/parts/facts/ice?revision=" + revision()).status()).isEqualTo(200);
        assertThat(client.get(copy).json().get("retired").valueStream().map(JsonNode::stringValue)).contains("facts/ice");
        int before = revision();
        Answer again = client.putPart(copy, before, "facts", "ice", "{\"title\":\"They wear ice skates\"}");
        assertThat(again.status()).isEqualTo(422);
        assertThat(again.json().get("problems").findValuesAsString("place")).containsExactly("/id");
        assertThat(revision()).isEqualTo(before);
        client.post(copy + "/undo?revision=" + before, "");
        assertThat(client.get(copy + "/parts/facts/ice").json().get("title").stringValue()).isEqualTo("The mat is ice");
        assertThat(client.get(copy).json().get("retired").valueStream().map(JsonNode::stringValue)).doesNotContain("facts/ice");
    }

    @Test
    void aResponseThatIsGoneLeavesItsIdToNoOther() {
        String responses = copy + "/reactions/hub-roll/responses";
        String quick = "{\"revision\":%d,\"cue\":\"They whistle\",\"often\":{\"word\":\"rarely\"}}";
        client.post(responses, quick.formatted(revision()));
        client.delete(responses + "/they-whistle?revision=" + revision());
        Answer again = client.post(responses, quick.formatted(revision()));
        assertThat(again.status()).as(again.text()).isEqualTo(201);
        assertThat(client.get(copy + "/parts/reactions/hub-roll").json().get("responses").findValuesAsString("id"))
                .contains("they-whistle-2").doesNotContain("they-whistle");
    }

    @Test
    void partsThatReferToEachOtherArriveTogetherAsOneChange() {
        int before = revision();
        String body = """
                {"revision":%d,"summary":"A new answer","parts":[
                 {"list":"techniques","id":"sit-out","part":{"title":"Sit out"}},
                 {"list":"reactions","id":"turtle-sit-out","part":{"from":"turtle-loose","technique":"sit-out",
                  "seconds":1,"works":"often","responses":[{"id":"one","cue":"They follow","often":"often"}]}}]}""";
        assertThat(client.post(copy + "/parts", body.formatted(before)).status()).isEqualTo(200);
        assertThat(revision()).isEqualTo(before + 1);
        Answer wrong = client.post(copy + "/parts", body.formatted(before + 1).replace("\"seconds\":1", "\"seconds\":-1"));
        assertThat(wrong.json().get("problems").findValuesAsString("place")).containsExactly("/seconds");
        client.post(copy + "/undo?revision=" + revision(), "");
        assertThat(client.get(copy + "/parts/techniques/sit-out").status()).isEqualTo(404);
    }

    @Test
    void aFaultIsNamedByItsFieldAndNothingIsStored() {
        int before = revision();
        Answer refused = client.putPart(copy, before, "situations", "odd", """
                {"title":"Odd","family":"nowhere","stage":"late","entry":-2}""");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("problems").findValuesAsString("place"))
                .containsExactlyInAnyOrder("/stage", "/entry", "/family");
        assertThat(revision()).isEqualTo(before);
        assertThat(client.get(copy + "/parts/nodes/x").status()).isEqualTo(422);
    }

    @Test
    void whatAPinNeedsIsPreviewedAndStored() {
        String pin = """
                {"title":"Shin ride","kind":"pin","at":["knee-ride"],"needs":{"any":[
                 {"id":"shin","title":"The shin lies across","work":1,"denied":["knee-ride-push"]},
                 {"id":"head","title":"The head is held","work":%s}]}}""";
        String parts = "{\"parts\":[{\"list\":\"holds\",\"id\":\"shin-ride\",\"part\":%s}]}";
        JsonNode previewed = client.post(copy + "/holds/preview", parts.formatted(pin.formatted(2))).json();
        assertThat(previewed).hasSize(1);
        assertThat(previewed.at("/0/denials/0/work").doubleValue()).as("both must be taken away").isEqualTo(3);
        assertThat(client.get(copy + "/holds").json().findValuesAsString("id")).doesNotContain("shin-ride");

        Answer refused = client.post(copy + "/holds/preview", parts.formatted(pin.formatted(6)));
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().findValuesAsString("place")).containsExactly("/needs/any/1/work");

        Answer stored = client.putPart(copy, revision(), "holds", "shin-ride", pin.formatted(2));
        assertThat(stored.status()).as(stored.text()).isEqualTo(200);
        assertThat(stored.json().get("holds").findValuesAsString("id")).contains("shin-ride");
    }

    @Test
    void takingOutSaysWhatHangsAndRedirects() {
        JsonNode uses = client.get(copy + "/parts/situations/knee-ride/uses").json();
        assertThat(uses.findValuesAsString("id")).contains("knee-ride-push");
        assertThat(client.delete(copy + "/parts/situations/knee-ride?redirect=side-early&revision=" + revision()).status())
                .isEqualTo(200);
        JsonNode map = client.get(copy).json();
        assertThat(StreamSupport.stream(map.get("reactions").spliterator(), false)
                .filter(r -> r.get("id").stringValue().equals("knee-ride-push"))
                .map(r -> r.get("from").stringValue())).containsExactly("side-early");
    }

    @Test
    void twoWhoAddToTheSameReactionAreMerged() {
        int seen = revision();
        String responses = copy + "/reactions/hub-roll/responses";
        client.post(responses, "{\"revision\":%d,\"cue\":\"They hop\",\"often\":{\"word\":\"rarely\"}}".formatted(seen));
        Answer second = client.post(responses,
                "{\"revision\":%d,\"cue\":\"They kneel\",\"often\":{\"word\":\"rarely\"}}".formatted(seen));
        assertThat(second.status()).as(second.text()).isEqualTo(201);
        assertThat(client.get(copy + "/file").text()).contains("They hop").contains("They kneel");
    }

    @Test
    void aChangeThatNoLongerFitsIsAConflict() {
        int seen = revision();
        client.delete(copy + "/parts/situations/side-rest?revision=" + seen);
        Answer late = client.post(copy + "/reactions/hub-roll/responses", """
                {"revision":%d,"cue":"They roll on","often":{"word":"rarely"},"leads":"side-rest"}""".formatted(seen));
        assertThat(late.status()).isEqualTo(409);
        assertThat(late.json().get("detail").stringValue()).contains("no longer fits", "side-rest");
    }

    @Test
    void aHouseStanceIsKeptAndClosesTheOther() {
        Answer taken = client.put(copy + "/principles/near-hand/house?stance=upper-arm&revision=" + revision(), "");
        assertThat(taken.status()).as(taken.text()).isEqualTo(200);
        JsonNode odds = client.get(copy + "/odds").json();
        assertThat(odds.get("situations").get("side-crossface").findValuesAsString("kind")).contains("stance");
        JsonNode open = client.get(copy + "/odds?stance=near-hand/any").json();
        assertThat(open.get("situations").get("side-crossface").findValuesAsString("kind")).doesNotContain("stance");
        assertThat(client.get(copy + "/difference-from/" + client.firstMap()).json().findValuesAsString("title"))
                .contains("Near hand under side pin");
        assertThat(client.put(copy + "/principles/near-hand/house?stance=ghost&revision=" + revision(), "").status())
                .isEqualTo(422);
    }

    @Test
    void goingBackToARevisionIsAChangeLikeAnyOther() {
        String first = client.get(copy + "/file").text();
        client.delete(copy + "/parts/situations/knee-ride?revision=" + revision());
        client.delete(copy + "/parts/situations/side-driving-in?revision=" + revision());
        JsonNode difference = client.get(copy + "/difference?from=1&to=" + revision()).json();
        assertThat(difference.findValuesAsString("kind")).contains("removed", "changed");
        assertThat(difference.findValuesAsString("title")).contains("Shin on the belly");

        Answer restored = client.post(copy + "/restore?to=1&revision=" + revision(), "");
        assertThat(restored.status()).as(restored.text()).isEqualTo(200);
        assertThat(client.get(copy + "/difference?from=1&to=" + revision()).json()).isEmpty();
        assertThat(client.post(copy + "/undo?revision=" + revision(), "").status()).isEqualTo(200);
        assertThat(client.get(copy + "/parts/situations/knee-ride").status()).isEqualTo(404);
        client.post(copy + "/redo?revision=" + revision(), "");
        assertThat(client.get(copy + "/difference?from=1&to=" + revision()).json()).isEmpty();
        assertThat(first).contains("knee-ride");
    }

    /** Somebody's own change is taken back from under another's newer one, which stays; undo brings it back. */
    @Test
    void oneChangeIsTakenBackAndWhatCameAfterStays() {
        client.delete(copy + "/parts/situations/knee-ride?revision=" + revision());
        int first = revision();
        client.delete(copy + "/parts/situations/side-driving-in?revision=" + revision());

        Answer back = client.post(copy + "/take-back?change=" + first, "");
        assertThat(back.status()).as(back.text()).isEqualTo(200);
        assertThat(client.get(copy + "/parts/situations/knee-ride").status()).isEqualTo(200);
        assertThat(client.get(copy + "/parts/situations/side-driving-in").status()).isEqualTo(404);
        assertThat(client.get(copy + "/difference?from=" + (first - 1) + "&to=" + revision()).json()
                .findValuesAsString("kind")).contains("removed").doesNotContain("added");
        assertThat(client.get(copy + "/history").json().get(0).get("summary").stringValue()).startsWith("Took back: ");
        client.post(copy + "/undo?revision=" + revision(), "");
        assertThat(client.get(copy + "/parts/situations/knee-ride").status()).isEqualTo(404);
    }

    @Test
    void whatHasBeenChangedAgainSinceIsNotTakenBackByItself() {
        String once = """
                {"revision":%d,"summary":"Named it anew","parts":[{"list":"facts","id":"head-controlled",
                 "part":{"id":"head-controlled","title":"%s"}}]}""";
        assertThat(client.post(copy + "/parts", once.formatted(revision(), "Once")).status()).isEqualTo(200);
        int first = revision();
        assertThat(client.post(copy + "/parts", once.formatted(revision(), "Twice")).status()).isEqualTo(200);
        int now = revision();
        Answer refused = client.post(copy + "/take-back?change=" + first, "");
        assertThat(refused.status()).isEqualTo(409);
        assertThat(refused.text()).contains("has been changed again since");
        assertThat(revision()).isEqualTo(now);
        assertThat(client.post(copy + "/take-back?change=1", "").status()).isEqualTo(422);
        assertThat(client.post(copy + "/take-back?change=99", "").status()).isEqualTo(404);
    }

    @Test
    void aRevisionCanBeNamed() {
        Answer named = client.post(copy + "/versions", "{\"revision\":1,\"name\":\"Before the spring term\"}");
        assertThat(named.status()).isEqualTo(201);
        assertThat(client.get(copy + "/versions").text()).contains("Before the spring term");
        assertThat(client.post(copy + "/versions", "{\"revision\":1,\"name\":\"<b>Never\"}").status()).isEqualTo(422);
        assertThat(client.post(copy + "/versions", "{\"revision\":99,\"name\":\"Never\"}").status()).isEqualTo(404);
        assertThat(client.delete(copy + "/versions/" + named.json().get("id").stringValue()).status()).isEqualTo(204);
        assertThat(client.get(copy + "/versions").json()).isEmpty();
    }

    @Test
    void mapsBeginFromEmptyAndFromTheReferenceAndArePutAway() {
        String empty = client.post("/api/maps/new", "{\"title\":\"Mine\",\"source\":\"empty\"}").json().get("id").stringValue();
        JsonNode map = client.get("/api/maps/" + empty).json();
        assertThat(map.get("situations")).isEmpty();
        assertThat(map.get("families")).isNotEmpty();
        assertThat(client.post("/api/maps/new", "{\"title\":\"Ref\",\"source\":\"reference\"}").status()).isEqualTo(201);
        assertThat(client.post("/api/maps/new", "{\"title\":\"Bad\",\"source\":\"cloud\"}").status()).isEqualTo(422);
        Answer renamed = client.put("/api/maps/" + empty, "{\"revision\":1,\"title\":\"Mine too\",\"about\":\"Draft\"}");
        assertThat(renamed.json().get("title").stringValue()).isEqualTo("Mine too");
        assertThat(client.put("/api/maps/" + empty + "/archived?away=true", "").status()).isEqualTo(204);
        assertThat(StreamSupport.stream(client.get("/api/maps").json().spliterator(), false)
                .filter(m -> m.get("id").stringValue().equals(empty)).findFirst().orElseThrow()
                .get("archived").booleanValue()).isTrue();
    }
}
