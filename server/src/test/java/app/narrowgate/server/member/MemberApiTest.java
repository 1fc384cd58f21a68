package app.narrowgate.server.member;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestServer;
import java.sql.Connection;
import java.sql.SQLException;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

class MemberApiTest {

    private static TestServer server;

    @BeforeAll
    static void start() {
        server = TestServer.start();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static String invite(TestClient owner, String role) {
        Answer made = owner.post("/api/invitations", "{\"role\":\"%s\",\"whom\":\"\",\"address\":\"\"}".formatted(role));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json().get("token").stringValue();
    }

    private static TestClient stranger() {
        TestClient stranger = server.client();
        stranger.get("/api/session");
        return stranger;
    }

    private static Answer join(TestClient client, String token, String name, String password) {
        return client.post("/api/invitations/join", """
                {"token":"%s","name":"%s","displayName":"%s","password":"%s"}""".formatted(token, name, name, password));
    }

    private static TestClient joined(TestClient owner, String role, String name) {
        TestClient client = stranger();
        assertThat(join(client, invite(owner, role), name, TestClient.PASSWORD).status()).isEqualTo(200);
        return client;
    }

    private static String idOf(TestClient owner, String name) {
        for (JsonNode member : owner.get("/api/members").json()) {
            if (member.get("name").stringValue().equals(name)) {
                return member.get("id").stringValue();
            }
        }
        throw new AssertionError("Nobody is called " + name);
    }

    private static String detail(Answer answer) {
        return answer.json().get("detail").stringValue();
    }

    @Test
    void anInvitationLetsOnePersonIn() {
        TestClient owner = server.client().openGym("Once", "once-owner");
        String token = invite(owner, "assistant");
        TestClient stranger = stranger();
        JsonNode offer = stranger.post("/api/invitations/look", "{\"token\":\"%s\"}".formatted(token)).json();
        assertThat(offer.get("gym").stringValue()).isEqualTo("Once");
        assertThat(offer.get("role").stringValue()).isEqualTo("assistant");
        JsonNode session = join(stranger, token, "Once-Helper", TestClient.PASSWORD).json();
        assertThat(session.get("role").stringValue()).isEqualTo("assistant");
        assertThat(stranger.get("/api/session").json().get("gym").stringValue()).isEqualTo("Once");
        assertThat(server.client().signIn("once-helper", TestClient.PASSWORD).get("/api/maps").status()).isEqualTo(200);
        assertThat(join(stranger(), token, "another", TestClient.PASSWORD).status()).isEqualTo(404);
        assertThat(owner.get("/api/invitations").json().get(0).get("who").stringValue()).isEqualTo("Once-Helper");
    }

    @Test
    void aWithdrawnOneAnOldOneAndNoneLookTheSame() throws SQLException {
        TestClient owner = server.client().openGym("Withdrawn", "withdrawn-owner");
        String withdrawn = invite(owner, "student");
        String id = owner.get("/api/invitations").json().get(0).get("id").stringValue();
        assertThat(owner.delete("/api/invitations/" + id).status()).isEqualTo(204);
        assertThat(owner.delete("/api/invitations/" + id).status()).isEqualTo(404);
        String old = invite(owner, "student");
        String oldId = owner.get("/api/invitations").json().get(0).get("id").stringValue();
        try (Connection behind = server.behind()) {
            behind.createStatement().execute("update invitation set expires_at = now() where id = '%s'".formatted(oldId));
        }
        Answer none = stranger().post("/api/invitations/look", "{\"token\":\"nothing-at-all\"}");
        assertThat(none.status()).isEqualTo(404);
        for (String token : new String[] {withdrawn, old}) {
            assertThat(stranger().post("/api/invitations/look", "{\"token\":\"%s\"}".formatted(token)).text()).isEqualTo(none.text());
            assertThat(join(stranger(), token, "late", TestClient.PASSWORD).text())
                    .isEqualTo(join(stranger(), "nothing-at-all", "late", TestClient.PASSWORD).text());
        }
        assertThat(owner.get("/api/invitations").json().get(0).get("state").stringValue()).isEqualTo("over");
    }

    @ParameterizedTest
    @CsvSource({"x, three lamps by the mat, name to sign in", "two words, three lamps by the mat, name to sign in",
        "tamsin, three lamps by the mat, already", "newcomer, short, needs 12", "newcomer, password12345, first that are tried",
        "newcomer, Newcomer-1234, name that others know"})
    void whatDoesNotDoIsToldAndTheLinkWorksStill(String name, String password, String told) {
        TestClient owner = server.client().openGym("Refused", "refused-" + Integer.toHexString((name + password).hashCode()));
        String token = invite(owner, "student");
        TestClient client = stranger();
        Answer refused = join(client, token, name, password);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(detail(refused)).contains(told);
        String another = "after-" + Integer.toHexString((name + password).hashCode());
        assertThat(join(client, token, another, TestClient.PASSWORD).status()).isEqualTo(200);
    }

    @Test
    void whatWouldBeSentStandsInTheMailbox() {
        TestClient owner = server.client().openGym("Letters", "letters-owner");
        assertThat(owner.post("/api/invitations", "{\"role\":\"student\",\"whom\":\"\",\"address\":\"no address\"}").status()).isEqualTo(422);
        assertThat(owner.get("/api/invitations").json()).isEmpty();
        String token = owner.post("/api/invitations", "{\"role\":\"student\",\"whom\":\"\",\"address\":\"wren@mats.example\"}").json()
                .get("token").stringValue();
        JsonNode letter = owner.get("/api/mail").json().get(0);
        assertThat(letter.get("address").stringValue()).isEqualTo("wren@mats.example");
        assertThat(letter.get("body").stringValue()).contains("/come-in#" + token, "seven days", "Letters");
    }

    @Test
    void aNewPasswordSignsOutEverywhereElse() {
        TestClient owner = server.client().openGym("Passwords", "passwords-owner");
        TestClient elsewhere = server.client().signIn("passwords-owner", TestClient.PASSWORD);
        assertThat(owner.get("/api/me/sessions").json()).hasSize(2);
        String edit = "{\"now\":\"%s\",\"next\":\"%s\"}";
        assertThat(owner.put("/api/me/password", edit.formatted("something else", "four dogs on a green bus")).status()).isEqualTo(422);
        assertThat(owner.put("/api/me/password", edit.formatted(TestClient.PASSWORD, "passwords-owner")).status()).isEqualTo(422);
        assertThat(elsewhere.get("/api/maps").status()).isEqualTo(200);
        assertThat(owner.put("/api/me/password", edit.formatted(TestClient.PASSWORD, "four dogs on a green bus")).status()).isEqualTo(204);
        assertThat(owner.get("/api/maps").status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/maps").status()).isEqualTo(401);
        assertThat(stranger().post("/api/session", "{\"name\":\"passwords-owner\",\"password\":\"%s\"}".formatted(TestClient.PASSWORD)).status())
                .isEqualTo(401);
        assertThat(server.client().signIn("passwords-owner", "four dogs on a green bus").get("/api/maps").status()).isEqualTo(200);
    }

    @Test
    void oneSignsOutThere() {
        TestClient here = server.client().openGym("Sessions", "sessions-owner");
        TestClient there = server.client().signIn("sessions-owner", TestClient.PASSWORD);
        TestClient another = joined(here, "student", "sessions-student");
        JsonNode places = here.get("/api/me/sessions").json();
        assertThat(places).hasSize(2);
        String handle = places.get(0).get("here").booleanValue() ? places.get(1).get("handle").stringValue()
                : places.get(0).get("handle").stringValue();
        assertThat(another.delete("/api/me/sessions/" + handle).status()).isEqualTo(404);
        assertThat(here.delete("/api/me/sessions/" + handle).status()).isEqualTo(204);
        assertThat(there.get("/api/maps").status()).isEqualTo(401);
        assertThat(here.get("/api/me/sessions").json()).hasSize(1);
        assertThat(here.delete("/api/members/%s/sessions".formatted(idOf(here, "sessions-student"))).status()).isEqualTo(204);
        assertThat(another.get("/api/maps").status()).isEqualTo(401);
    }

    @Test
    void whoForgotThePasswordGetsALink() {
        TestClient owner = server.client().openGym("Forgotten password", "forgotten-owner");
        TestClient member = joined(owner, "instructor", "forgotten-member");
        String offer = "/api/members/%s/password".formatted(idOf(owner, "forgotten-member"));
        String first = owner.post(offer, "").json().get("token").stringValue();
        String token = owner.post(offer, "").json().get("token").stringValue();
        String chosen = "{\"token\":\"%s\",\"password\":\"nine grey stones in a row\"}";
        assertThat(stranger().post("/api/invitations/password", chosen.formatted(first)).status()).isEqualTo(404);
        assertThat(join(stranger(), token, "somebody", TestClient.PASSWORD).status()).isEqualTo(404);
        TestClient back = stranger();
        assertThat(back.post("/api/invitations/password", chosen.formatted(token)).json().get("name").stringValue())
                .isEqualTo("forgotten-member");
        assertThat(back.get("/api/maps").status()).isEqualTo(200);
        assertThat(member.get("/api/maps").status()).isEqualTo(401);
        assertThat(stranger().post("/api/invitations/password", chosen.formatted(token)).status()).isEqualTo(404);
    }

    @Test
    void aGymIsNeverWithoutAnOwner() {
        TestClient owner = server.client().openGym("Owners", "owners-owner");
        String id = idOf(owner, "owners-owner");
        String leave = "{\"password\":\"%s\",\"forgotten\":false}".formatted(TestClient.PASSWORD);
        assertThat(detail(owner.put("/api/members/%s/role".formatted(id), "{\"role\":\"student\"}"))).contains("owner");
        assertThat(owner.post("/api/me/leave", leave).status()).isEqualTo(422);
        assertThat(owner.delete("/api/members/" + id).status()).isEqualTo(422);
        TestClient second = joined(owner, "owner", "owners-second");
        assertThat(owner.post("/api/me/leave", leave).status()).isEqualTo(204);
        assertThat(owner.get("/api/maps").status()).isEqualTo(401);
        assertThat(second.get("/api/members").json()).hasSize(1);
    }

    /** What somebody wrote stays; their name goes from it if they want it, in the audit, too. */
    @Test
    void whoIsForgottenLeavesNoName() {
        TestClient owner = server.client().openGym("Deletion", "deletion-owner");
        TestClient member = joined(owner, "instructor", "deletion-member");
        String map = member.post("/api/maps/new", "{\"title\":\"Theirs\",\"source\":\"empty\"}").json().get("id").stringValue();
        assertThat(owner.get("/api/maps/%s/history".formatted(map)).text()).contains("deletion-member");
        assertThat(owner.get("/api/audit").text()).contains("deletion-member");
        assertThat(member.post("/api/me/leave", "{\"password\":\"not it\",\"forgotten\":true}").status()).isEqualTo(422);
        assertThat(member.post("/api/me/leave", "{\"password\":\"%s\",\"forgotten\":true}".formatted(TestClient.PASSWORD)).status())
                .isEqualTo(204);
        assertThat(owner.get("/api/maps/%s/history".formatted(map)).text()).doesNotContain("deletion-member").contains("Somebody who left");
        assertThat(owner.get("/api/audit").text()).doesNotContain("deletion-member");
        assertThat(owner.get("/api/invitations").text()).doesNotContain("deletion-member");
        joined(owner, "student", "deletion-member");
    }

    @Test
    void whatIsDoneIsNotedForTheOwner() {
        TestClient owner = server.client().openGym("Audit", "audit-owner");
        joined(owner, "student", "audit-student");
        owner.put("/api/members/%s/role".formatted(idOf(owner, "audit-student")), "{\"role\":\"assistant\"}");
        String map = owner.post("/api/maps/new", "{\"title\":\"Out\",\"source\":\"empty\"}").json().get("id").stringValue();
        owner.get("/api/maps/%s/file".formatted(map));
        owner.put("/api/gyms/mine", "{\"name\":\"Audit and sons\"}");
        String[] deeds = new String[6];
        JsonNode noted = owner.get("/api/audit").json();
        for (int i = 0; i < deeds.length; i++) {
            JsonNode one = noted.get(i);
            deeds[i] = String.join(" ", one.get("actor").stringValue(), one.get("deed").stringValue(),
                    one.path("subject").asString(""), one.get("detail").stringValue()).strip().replace("  ", " ");
        }
        assertThat(deeds).containsExactly("audit-owner named the gym Audit and sons",
                "audit-owner took out as a file A map as a file in the open format",
                "audit-owner gave another role to audit-student now assistant", "audit-student came in by an invitation as student",
                "audit-owner made an invitation as student", "audit-owner opened the gym");
        long before = noted.get(1).get("id").longValue();
        assertThat(owner.get("/api/audit?most=1&before=" + before).json().get(0).get("deed").stringValue()).isEqualTo("gave another role to");
    }

    @Test
    void onlyTheCodeOfTheHouseOpensAGym() {
        Answer refused = stranger().post("/api/gyms", """
                {"code":"a guess","gym":"Mine","name":"guesser","displayName":"G","password":"%s"}""".formatted(TestClient.PASSWORD));
        assertThat(refused.status()).isEqualTo(404);
        Answer bad = stranger().post("/api/gyms", """
                {"code":"%s","gym":"Half","name":"half-owner","displayName":"H","password":"short"}""".formatted(TestServer.HOUSE_CODE));
        assertThat(bad.status()).isEqualTo(422);
        server.client().openGym("Whole", "half-owner");
    }

    @Test
    void aNameIsChosenAnew() {
        TestClient owner = server.client().openGym("Names", "names-owner");
        assertThat(owner.put("/api/me/name", "{\"displayName\":\" \"}").status()).isEqualTo(400);
        assertThat(owner.put("/api/me/name", "{\"displayName\":\"Orla Fennick\"}").json().get("displayName").stringValue())
                .isEqualTo("Orla Fennick");
        assertThat(owner.get("/api/session").json().get("displayName").stringValue()).isEqualTo("Orla Fennick");
    }
}
