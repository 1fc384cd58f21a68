package app.narrowgate.server.person;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class PersonApiTest {

    private static TestServer server;
    private static TestClient owner;
    private static TestClient instructor;
    private static TestClient assistant;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        owner = server.signedIn();
        instructor = server.client().signIn("bram", "open-the-gate");
        assistant = server.client().signIn("ines", "open-the-gate");
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static String json(Object text) {
        return JsonMapper.shared().writeValueAsString(text);
    }

    private static JsonNode read(TestClient client, String lines) {
        Answer answer = client.post("/api/people/read-lines", "{\"text\":%s}".formatted(json(lines)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    /** Adds whoever the lines tell of, and gives the id of the first. */
    private static String add(String lines) {
        Answer added = instructor.post("/api/people", "{\"people\":%s}".formatted(read(instructor, lines).get("people")));
        assertThat(added.status()).as(added.text()).isEqualTo(201);
        return added.json().get(0).get("id").stringValue();
    }

    private static String hurts(String person, String ailments) {
        Answer written = instructor.put("/api/people/%s/health".formatted(person), "{\"ailments\":[%s]}".formatted(ailments));
        assertThat(written.status()).as(written.text()).isEqualTo(200);
        return person;
    }

    private static Map<String, String> unzipped(byte[] bytes) throws IOException {
        Map<String, String> files = new TreeMap<>();
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(bytes))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                files.put(entry.getName(), new String(zip.readAllBytes(), StandardCharsets.UTF_8));
            }
        }
        return files;
    }

    @Test
    void linesAreLookedAtAndThenStored() {
        JsonNode looked = read(instructor, "Alder Finch, 62 kg, beginner\n\nBirch Hale, purple\n");
        assertThat(looked.get("people")).hasSize(1);
        assertThat(looked.get("problems").get(0).get("place").stringValue()).isEqualTo("line 3");
        assertThat(instructor.get("/api/people").text()).as("nothing is stored yet").doesNotContain("Alder Finch");
        String id = add("Alder Finch, 62 kg, beginner");
        JsonNode alder = assistant.get("/api/people/" + id).json();
        assertThat(alder.get("weight").doubleValue()).isEqualTo(62);
        assertThat(alder.get("level").stringValue()).isEqualTo("novice");
        assertThat(alder.has("height")).isFalse();
    }

    @Test
    void allOfThemAreStoredOrNone() {
        Answer refused = instructor.post("/api/people", """
                {"people":[{"name":"Cedar Wold","age":"adults","notes":""},{"name":"Dogwood","age":"adults","notes":"","weight":900}]}""");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("detail").stringValue()).contains("900", "250");
        assertThat(instructor.get("/api/people").text()).doesNotContain("Cedar Wold");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{\"people\":[]}", "{\"people\":[null]}", "{\"people\":[{\"name\":\"\",\"age\":\"adults\",\"notes\":\"\"}]}",
        "{\"people\":[{\"name\":\"A\",\"age\":\"old\",\"notes\":\"\"}]}", "{\"people\":[{\"name\":\"A\",\"age\":\"adults\",\"notes\":\"\",\"weight\":NaN}]}",
        "{\"people\":[{\"name\":\"A\",\"age\":\"adults\",\"notes\":\"\",\"joined\":\"tomorrow\"}]}",
        "{\"people\":[{\"name\":\"A\",\"age\":\"adults\",\"notes\":\"\",\"joined\":\"0001-01-01\"}]}"})
    void whatDoesNotDoIsRefused(String body) {
        assertThat(instructor.post("/api/people", body).status()).isIn(400, 422);
    }

    @Test
    void twoWhoChangeTheSameAreTold() {
        String id = add("Elder Marsh");
        String change = "{\"version\":%d,\"person\":{\"name\":\"Elder Marsh\",\"age\":\"adults\",\"notes\":\"%s\"}}";
        assertThat(instructor.put("/api/people/" + id, change.formatted(1, "left foot first")).status()).isEqualTo(200);
        Answer late = owner.put("/api/people/" + id, change.formatted(1, "right foot first"));
        assertThat(late.status()).isEqualTo(409);
        assertThat(owner.get("/api/people/" + id).json().get("notes").stringValue()).isEqualTo("left foot first");
        assertThat(assistant.get("/api/people/" + id).json().get("notes").stringValue()).as("for those who teach").isEmpty();
    }

    @Test
    void aTableGoesOutAndComesIn() {
        add("=Fir Tree, 71 kg, child");
        Answer table = instructor.get("/api/people/table");
        assertThat(table.type()).startsWith("text/csv");
        assertThat(table.text()).contains("'=Fir Tree").doesNotContain("knee");
        Answer looked = instructor.post("/api/people/read-table", "{\"text\":%s}".formatted(json(table.text())));
        assertThat(looked.json().get("people").size()).isEqualTo(instructor.get("/api/people").json().size());
        Answer bad = instructor.post("/api/people/read-table", "{\"text\":\"name,weight-kg\\nGorse,heavy\\n\"}");
        assertThat(bad.status()).isEqualTo(422);
        assertThat(bad.json().get("problems").get(0).get("place").stringValue()).isEqualTo("line 2, weight-kg");
    }

    /** The least readers, and each reading noted. */
    @Test
    void whatHurtsIsReadByFewAndNoted() {
        String id = hurts(add("Hazel Moor"), "{\"injury\":\"knee\",\"from\":\"2026-01-05\",\"avoid\":\"no twisting\"}");
        assertThat(assistant.get("/api/people/%s/health".formatted(id)).status()).isEqualTo(403);
        assertThat(assistant.get("/api/people/" + id).text()).doesNotContain("knee");
        assertThat(instructor.get("/api/people/%s/health".formatted(id)).json().get(0).get("avoid").stringValue()).isEqualTo("no twisting");
        JsonNode noted = owner.get("/api/audit?most=1").json().get(0);
        assertThat(noted.get("deed").stringValue()).isEqualTo("read what hurts");
        assertThat(noted.get("subject").stringValue()).isEqualTo("Hazel Moor");
        assertThat(noted.get("actor").stringValue()).isEqualTo("Bram Havelock-Quist");
        assertThat(instructor.put("/api/people/%s/health".formatted(id),
                "{\"ailments\":[{\"injury\":\"knee\",\"from\":\"2026-02-05\",\"until\":\"2026-01-05\",\"avoid\":\"\"}]}").status()).isEqualTo(422);
        assertThat(instructor.get("/api/people/%s/health".formatted(id)).json()).as("nothing half stored").hasSize(1);
    }

    /** 91 − 62 and 188 − 171, by hand; what is asked of the odds is the same as with the figures themselves. */
    @Test
    void twoPeopleMakeAMatchup() {
        String you = hurts(add("Iris Low, 62 kg, 171 cm, beginner"), "{\"injury\":\"shoulder\",\"avoid\":\"\"}");
        String they = add("Juniper Tall, 91 kg, 188 cm, experienced");
        JsonNode pair = instructor.get("/api/people/pair?you=%s&they=%s".formatted(you, they)).json();
        assertThat(pair.get("weightGap").doubleValue()).isEqualTo(29);
        assertThat(pair.get("heightGap").doubleValue()).isEqualTo(17);
        assertThat(pair.get("injuries").get(0).stringValue()).isEqualTo("shoulder");
        assertThat(assistant.get("/api/people/pair?you=%s&they=%s".formatted(you, they)).json().get("injuries")).as("not theirs to know").isEmpty();

        instructor.get("/api/people/pair?you=%s&they=%s".formatted(you, they));
        long noted = owner.get("/api/audit").json().valueStream().filter(one -> one.path("subject").asString("").equals("Iris Low")
                && one.get("deed").stringValue().equals("read what hurts")).count();
        assertThat(noted).as("reading it for a pair is a reading, and noted once while a page is looked at").isEqualTo(1);

        String map = "/api/maps/" + instructor.firstMap();
        String figures = "weightGap=29&heightGap=17&level=novice&age=adults";
        String both = "you=%s&they=%s".formatted(you, they);
        assertThat(instructor.get(map + "/odds?" + both).json()).isEqualTo(instructor.get(map + "/odds?" + figures + "&injury=shoulder").json());
        assertThat(assistant.get(map + "/odds?" + both).json()).isEqualTo(assistant.get(map + "/odds?" + figures + "&injury=").json());
        assertThat(instructor.get(map + "/odds?" + both).json()).isNotEqualTo(instructor.get(map + "/odds").json());
        assertThat(instructor.run(map, "{\"kind\":\"gates\",\"question\":{\"you\":\"%s\",\"they\":\"%s\"}}".formatted(you, they)).get("gates"))
                .isEqualTo(instructor.run(map, """
                        {"kind":"gates","question":{"weightGap":29,"heightGap":17,"level":"novice","age":"adults","injury":["shoulder"]}}""")
                        .get("gates"));
    }

    @Test
    void someTwoMakeNone() {
        String child = add("Kiln Small, child, 38 kg");
        String adult = add("Larch Big, 90 kg");
        String map = "/api/maps/" + instructor.firstMap();
        for (String query : new String[] {"you=%s&they=%s".formatted(child, adult), "you=%s&they=%1$s".formatted(adult), "you=" + adult}) {
            Answer refused = instructor.get(map + "/odds?" + query);
            assertThat(refused.status()).as(query).isEqualTo(422);
            assertThat(refused.json().get("detail").stringValue()).isNotBlank();
        }
        assertThat(server.client().signIn("joss", "open-the-gate").get(map + "/odds?you=%s&they=%1$s".formatted(adult)).status()).isEqualTo(422);
    }

    /** Thirds by hand: 55, 75 and 95 kg, against 70; the odds are those of the figures themselves, with what hurts oneself. */
    @Test
    void oneselfAgainstTheRoom() {
        TestClient alone = server.client().openGym("The Room", "room-owner");
        assertThat(alone.get("/api/me/room").json().get("missing").stringValue()).contains("which of the people on the roster you are");
        String people = "Me, 70 kg, 175 cm, beginner\nA, 50 kg\nB, 55 kg\nC, 62 kg\nD, 70 kg\nE, 71 kg\nF, 79 kg\nG, 88 kg, 180 cm\nH, 93 kg, 190 cm";
        JsonNode added = alone.post("/api/people", "{\"people\":%s}".formatted(read(alone, people).get("people"))).json();
        String me = added.get(0).get("id").stringValue();
        alone.put("/api/people/%s/account".formatted(me), "{\"account\":\"%s\"}".formatted(
                alone.get("/api/members").json().get(0).get("id").stringValue()));
        assertThat(alone.get("/api/me/room").json().get("missing").stringValue()).contains("9 others", "it has 8.");
        alone.post("/api/people", "{\"people\":%s}".formatted(read(alone, "I, 104 kg, 196 cm\nSmall, child, 30 kg").get("people")));
        alone.put("/api/people/%s/health".formatted(me), "{\"ailments\":[{\"injury\":\"neck\",\"avoid\":\"\"}]}");
        JsonNode room = alone.get("/api/me/room").json();
        assertThat(room.has("missing")).isFalse();
        assertThat(room.get("thirds").valueStream().map(third -> third.get("weightGap").doubleValue())).containsExactly(-15.0, 5.0, 25.0);
        assertThat(room.get("thirds").get(2).get("heightGap").doubleValue()).isEqualTo(15);
        assertThat(room.get("thirds").get(0).has("heightGap")).isFalse();
        assertThat(room.get("injuries").get(0).stringValue()).isEqualTo("neck");

        String map = "/api/maps/" + alone.post("/api/maps/new", "{\"title\":\"House\",\"source\":\"reference\"}").json().get("id").stringValue();
        assertThat(alone.get(map + "/odds?room=heavier").json())
                .isEqualTo(alone.get(map + "/odds?weightGap=25&heightGap=15&level=novice&age=adults&injury=neck").json());
        assertThat(alone.get(map + "/odds?room=heavier&you=%s&they=%1$s".formatted(me)).status()).isEqualTo(422);
        assertThat(alone.get(map + "/odds?room=strongest").status()).isEqualTo(422);
    }

    /** A student sees no roster; the room they see. */
    @Test
    void aStudentReadsTheMapForTheRoom() {
        TestClient student = server.client().signIn("wren", "open-the-gate");
        JsonNode room = student.get("/api/me/room").json();
        assertThat(room.get("thirds")).hasSize(3);
        assertThat(room.get("injuries")).isEmpty();
        String map = "/api/maps/" + student.firstMap();
        JsonNode lighter = student.get(map + "/odds?room=lighter").json();
        JsonNode heavier = student.get(map + "/odds?room=heavier").json();
        assertThat(heavier.get("start").doubleValue()).isLessThan(lighter.get("start").doubleValue());
    }

    @Test
    void everythingAboutSomebodyIsTakenOutAndAway() throws IOException {
        String id = hurts(add("Maple Reed, 70 kg"), "{\"injury\":\"neck\",\"avoid\":\"no stacking\"}");
        Map<String, String> files = unzipped(instructor.bytes("/api/people/%s/archive".formatted(id), "identity").body());
        assertThat(files).containsOnlyKeys("person.json", "classes.json", "record.json");
        assertThat(files.get("classes.json")).as("was in no class").doesNotContain("title");
        assertThat(files.get("person.json")).contains("Maple Reed", "no stacking");
        assertThat(owner.get("/api/audit?most=1").text()).contains("took out everything about", "Maple Reed");
        assertThat(instructor.delete("/api/people/" + id).status()).isEqualTo(204);
        assertThat(instructor.get("/api/people/" + id).status()).isEqualTo(404);
        assertThat(owner.get("/api/audit").text()).doesNotContain("Maple Reed");
    }

    @Test
    void oneTakesOutWhatIsKeptAboutOneselfAndIsForgotten() throws IOException {
        TestClient joss = server.client().signIn("joss", "open-the-gate");
        String map = "/api/maps/" + joss.firstMap();
        joss.post(map + "/readings", """
                [{"id":"00000000-0000-0000-0000-00000000a001","situation":"mount-low","reaction":"low-trap-bridge","chosen":"trap-and-bridge",
                "correct":true,"answers":2,"milliseconds":900,"at":"2026-11-20T10:00:00Z"}]""");
        for (JsonNode person : instructor.get("/api/people").json()) {
            if (person.get("name").stringValue().equals("Joss Tillender")) {
                instructor.get("/api/people/%s/health".formatted(person.get("id").stringValue()));
            }
        }
        Map<String, String> files = unzipped(joss.bytes("/api/me/archive", "identity").body());
        assertThat(files).containsOnlyKeys("member.json", "person.json", "readings.json", "questions.json", "classes.json", "record.json",
                "audit.json");
        assertThat(files.get("classes.json")).contains("Turtle").as("was not there").doesNotContain("Mount, first half");
        assertThat(files.get("member.json")).contains("joss", "student").doesNotContain("argon2");
        assertThat(files.get("person.json")).contains("no twisting on a planted foot");
        assertThat(files.get("readings.json")).contains("low-trap-bridge");
        assertThat(files.get("audit.json")).as("who read it is not theirs to know").contains("read-health").doesNotContain("Bram");
        joss.post("/api/me/leave", "{\"password\":\"open-the-gate\",\"forgotten\":true}");
        assertThat(owner.get("/api/people").text()).doesNotContain("Joss Tillender");
    }
}
