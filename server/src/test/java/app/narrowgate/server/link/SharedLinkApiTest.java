package app.narrowgate.server.link;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestServer;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** A link shows one card to whoever has it, and nothing else of the gym. */
class SharedLinkApiTest {

    private static final String PLACE = "mount-low";

    private static TestServer server;
    private static TestClient tamsin;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        tamsin = server.signedIn();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static TestClient stranger() {
        TestClient stranger = server.client();
        stranger.get("/api/session");
        return stranger;
    }

    private static Answer share(String map, String place, String setting, int days) {
        return tamsin.post("/api/links", """
                {"map":"%s","place":"%s","setting":{%s},"days":%d}""".formatted(map, place, setting, days));
    }

    private static String token(String map, String setting) {
        Answer made = share(map, PLACE, setting, 7);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("token").stringValue();
    }

    private static Answer look(String token) {
        return stranger().post("/api/links/look", "{\"token\":\"%s\"}".formatted(token));
    }

    private static String newest() {
        return tamsin.get("/api/links").json().get(0).get("id").stringValue();
    }

    private static List<String> ids(JsonNode parts) {
        List<String> ids = new ArrayList<>();
        parts.forEach(part -> ids.add(part.get("id").stringValue()));
        return ids;
    }

    /** Whoever has the link reads the figures that the coach reads, under the same setting. */
    @Test
    void aStrangerReadsTheCardUnderTheSettingItWasSharedWith() {
        String map = tamsin.firstMap();
        Answer answer = look(token(map, "\"aim\":\"guard-or-better\",\"read\":0.75,\"late\":1.5,\"matchup\":\"much-heavier\",\"stances\":[]"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        JsonNode card = answer.json();
        JsonNode odds = tamsin.get("/api/maps/%s/odds?aim=guard-or-better&read=0.75&late=1.5&matchup=much-heavier".formatted(map)).json();
        assertThat(card.get("at")).isEqualTo(odds.get("situations").get(PLACE));
        assertThat(card.get("situation").stringValue()).isEqualTo(PLACE);
        assertThat(card.get("read").doubleValue()).isEqualTo(0.75);
        assertThat(card.get("late").doubleValue()).isEqualTo(1.5);
        JsonNode pictures = tamsin.get("/api/maps/%s/pictures".formatted(map)).json();
        String picture = pictures.get("places").get(PLACE).stringValue();
        assertThat(card.get("pictures").get("pictures").get(picture)).isEqualTo(pictures.get("pictures").get(picture));
        assertThat(card.get("pictures").get("places").size()).isEqualTo(1);
        assertThat(card.get("pictures").get("drawings").size()).isEqualTo(1);
    }

    @Test
    void nothingElseOfTheMapOrTheGymGoesOut() {
        String map = tamsin.firstMap();
        Answer answer = look(token(map, "\"read\":0.25,\"late\":0.5,\"stances\":[]"));
        JsonNode whole = tamsin.get("/api/maps/" + map).json();
        JsonNode told = answer.json().get("map");
        assertThat(told.get("reactions")).allMatch(one -> one.get("from").stringValue().equals(PLACE)).isNotEmpty();
        assertThat(told.get("matchups").size()).isZero();
        assertThat(told.get("holds").size()).isZero();
        assertThat(told.has("undo")).isFalse();
        List<String> elsewhere = ids(whole.get("techniques"));
        elsewhere.removeAll(ids(told.get("techniques")));
        assertThat(elsewhere).hasSizeGreaterThan(50);
        for (JsonNode technique : whole.get("techniques")) {
            if (elsewhere.contains(technique.get("id").stringValue()) && !technique.get("checkpoints").isEmpty()) {
                assertThat(answer.text()).doesNotContain(technique.get("checkpoints").get(0).stringValue());
            }
        }
        for (JsonNode person : tamsin.get("/api/people").json()) {
            assertThat(answer.text()).doesNotContain(person.get("name").stringValue());
        }
        for (JsonNode member : tamsin.get("/api/members").json()) {
            assertThat(answer.text()).doesNotContain(member.get("displayName").stringValue());
        }
    }

    @Test
    void withdrawnOldAndMadeUpOnesLookTheSame() throws SQLException {
        String withdrawn = token(tamsin.firstMap(), "\"read\":0,\"late\":0,\"stances\":[]");
        assertThat(look(withdrawn).status()).isEqualTo(200);
        String id = newest();
        assertThat(tamsin.delete("/api/links/" + id).status()).isEqualTo(204);
        assertThat(tamsin.delete("/api/links/" + id).status()).isEqualTo(404);
        assertThat(tamsin.get("/api/links").json().get(0).get("state").stringValue()).isEqualTo("withdrawn");
        String old = token(tamsin.firstMap(), "\"read\":0,\"late\":0,\"stances\":[]");
        try (Connection behind = server.behind()) {
            behind.createStatement().execute("update shared_link set expires_at = now() where id = '%s'".formatted(newest()));
        }
        Answer none = look("nothing-at-all");
        assertThat(none.status()).isEqualTo(404);
        assertThat(look(withdrawn).text()).isEqualTo(none.text());
        assertThat(look(old).text()).isEqualTo(none.text());
        assertThat(tamsin.get("/api/links").json().get(0).get("state").stringValue()).isEqualTo("over");
    }

    /** The map goes on being worked at; the link shows what it says now, as long as the place is there. */
    @Test
    void aLinkFollowsItsMap() {
        String map = tamsin.post("/api/maps/new", "{\"title\":\"To be changed\",\"source\":\"reference\"}").json().get("id").stringValue();
        String token = token(map, "\"read\":0,\"late\":0,\"matchup\":\"much-heavier\",\"stances\":[]");
        assertThat(look(token).json().get("matchup").stringValue()).isNotEqualTo("Even pair");
        assertThat(tamsin.delete("/api/maps/%s/parts/matchups/much-heavier?revision=1".formatted(map)).status()).isLessThan(300);
        JsonNode after = look(token).json();
        assertThat(after.get("matchup").stringValue()).isEqualTo("Even pair");
        assertThat(after.get("map").get("revision").intValue()).isEqualTo(2);
        assertThat(tamsin.put("/api/maps/%s/archived?away=true".formatted(map), "{}").status()).isLessThan(300);
        assertThat(look(token).status()).isEqualTo(404);
        assertThat(share(map, PLACE, "\"read\":0,\"late\":0,\"stances\":[]", 7).status()).isEqualTo(422);
    }

    @ParameterizedTest
    @CsvSource(delimiter = ';', value = {
        "nowhere; \"read\":0,\"late\":0,\"stances\":[]; 7; 404",
        "mount-low; \"read\":1.5,\"late\":0,\"stances\":[]; 7; 400",
        "mount-low; \"read\":0,\"late\":31,\"stances\":[]; 7; 400",
        "mount-low; \"read\":0,\"late\":0,\"stances\":[null]; 7; 400",
        "mount-low; \"late\":0,\"stances\":[]; 7; 400",
        "mount-low; \"read\":0,\"late\":0,\"stances\":[]; 0; 400",
        "mount-low; \"read\":0,\"late\":0,\"stances\":[]; 367; 400",
        "mount-low; \"aim\":\"nothing\",\"read\":0,\"late\":0,\"stances\":[]; 7; 422",
        "mount-low; \"read\":0,\"late\":0,\"matchup\":\"nobody\",\"stances\":[]; 7; 422",
        "mount-low; \"read\":0,\"late\":0,\"stances\":[\"a b/c\"]; 7; 422"})
    void whatDoesNotDoMakesNoLink(String place, String setting, int days, int status) {
        int before = tamsin.get("/api/links").json().size();
        Answer refused = share(tamsin.firstMap(), place, setting, days);
        assertThat(refused.status()).as(refused.text()).isEqualTo(status);
        assertThat(tamsin.get("/api/links").json().size()).isEqualTo(before);
    }

    @Test
    void thereIsRoomForSoManyLinks() throws SQLException {
        token(tamsin.firstMap(), "\"read\":0,\"late\":0,\"stances\":[]");
        try (Connection behind = server.behind()) {
            behind.createStatement().execute("""
                    insert into shared_link select gen_random_uuid(), gym_id, 'made-up-' || n, map_id, place, title, aim, read, late, matchup,
                        stances, made_by, made_at - interval '1 day', expires_at, withdrawn_at
                    from shared_link, generate_series(1, %d) n where id = '%s'""".formatted(SharedLinks.MOST, newest()));
        }
        Answer refused = share(tamsin.firstMap(), PLACE, "\"read\":0,\"late\":0,\"stances\":[]", 7);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.json().get("detail").stringValue()).contains("200 links", "Withdraw");
        try (Connection behind = server.behind()) {
            behind.createStatement().execute("delete from shared_link where token_hash like 'made-up-%'");
        }
        assertThat(share(tamsin.firstMap(), PLACE, "\"read\":0,\"late\":0,\"stances\":[]", 7).status()).isEqualTo(201);
    }

    /** A stranger would read weights and injuries off the odds: a setting with two people in it is none for a link. */
    @Test
    void twoPeopleAreNeverPartOfALink() {
        JsonNode people = tamsin.get("/api/people").json();
        String pair = "\"you\":\"%s\",\"they\":\"%s\"".formatted(people.get(0).get("id").stringValue(), people.get(1).get("id").stringValue());
        assertThat(share(tamsin.firstMap(), PLACE, "\"read\":0,\"late\":0,\"stances\":[]," + pair, 7).status()).isEqualTo(400);
    }
}
