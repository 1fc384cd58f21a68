package app.narrowgate.server.door;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestServer;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** Every address of the API description, asked by everybody, against the table of rights: nothing more, nothing less. */
class RightsWalkTest {

    private static final Map<Role, String> DEMO = Map.of(Role.OWNER, "tamsin", Role.INSTRUCTOR, "bram", Role.ASSISTANT, "ines",
            Role.STUDENT, "joss");

    private static TestServer server;
    private static JsonNode description;
    private static final Map<Role, TestClient> CLIENTS = new EnumMap<>(Role.class);

    private record Address(String method, String path, Optional<Right> right) {
    }

    @BeforeAll
    static void start() {
        server = TestServer.start();
        DEMO.forEach((role, name) -> CLIENTS.put(role, server.client().signIn(name, "open-the-gate")));
        description = CLIENTS.get(Role.OWNER).get("/api/openapi").json();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static List<Address> addresses() {
        List<Address> addresses = new ArrayList<>();
        description.get("paths").properties().forEach(path -> path.getValue().properties().forEach(operation -> {
            JsonNode right = operation.getValue().path("x-right");
            assertThat(right.isMissingNode()).as("%s says what it needs", path.getKey())
                    .isEqualTo(operation.getValue().path("x-open").booleanValue(false));
            addresses.add(new Address(operation.getKey().toUpperCase(Locale.ROOT), path.getKey(),
                    right.isMissingNode() ? Optional.empty() : Optional.of(Coded.require(Right.class, "right", right.stringValue()))));
        }));
        return addresses;
    }

    /** An address with ids that nothing has, and a body that says nothing: whoever may ask is told so, and nothing is changed. */
    private static Answer asked(TestClient client, Address address) {
        String path = address.path().replaceAll("\\{[^}]*}", UUID.randomUUID().toString());
        return client.send(address.method(), path, address.method().equals("GET") ? null : "{}");
    }

    @Test
    void everyAddressKeepsToTheTable() {
        SoftAssertions softly = new SoftAssertions();
        List<Address> addresses = addresses();
        for (Address address : addresses) {
            address.right().ifPresent(right -> CLIENTS.forEach((role, client) -> {
                Answer answer = asked(client, address);
                boolean refused = answer.status() == 403;
                softly.assertThat(refused).as("%s %s asked by the %s: %s", address.method(), address.path(), role.title(), answer.status())
                        .isEqualTo(!right.roles().contains(role));
                softly.assertThat(answer.status()).as("%s %s", address.method(), address.path()).isNotEqualTo(401).isLessThan(500);
            }));
        }
        softly.assertAll();
        assertThat(addresses.stream().filter(address -> address.right().isPresent())).hasSizeGreaterThan(80);
    }

    @Test
    void strangersMayAskNothingThatNeedsARight() {
        TestClient stranger = server.client();
        stranger.get("/api/session");
        assertThat(addresses()).filteredOn(address -> address.right().isPresent())
                .allSatisfy(address -> assertThat(asked(stranger, address).status()).isEqualTo(401));
    }

    /** What opens to a stranger is looked at by a person: this list grows by nobody's oversight. */
    @Test
    void nothingElseIsOpen() {
        assertThat(addresses()).filteredOn(address -> address.right().isEmpty())
                .extracting(address -> address.method() + " " + address.path())
                .containsExactlyInAnyOrder("GET /api/session", "POST /api/session", "DELETE /api/session", "POST /api/gyms",
                        "POST /api/invitations/look", "POST /api/invitations/join", "POST /api/invitations/password",
                        "POST /api/links/look", "POST /api/screens/look", "POST /api/screens/events", "POST /api/screens/presses");
    }

    /** A right that nothing asks for protects nothing. */
    @Test
    void everyRightIsAskedForSomewhere() {
        Set<Right> asked = EnumSet.noneOf(Right.class);
        addresses().forEach(address -> address.right().ifPresent(asked::add));
        assertThat(asked).containsExactly(Right.values());
    }

    @Test
    void aStudentSeesWhatIsSharedAndKnowsOfNothingElse() {
        TestClient owner = CLIENTS.get(Role.OWNER);
        TestClient student = CLIENTS.get(Role.STUDENT);
        String own = owner.post("/api/maps/new", "{\"title\":\"Not for everybody\",\"source\":\"reference\"}").json().get("id").stringValue();
        String shared = owner.firstMap();
        assertThat(student.get("/api/maps").json()).hasSize(1);
        assertThat(student.get("/api/maps/" + shared).json().has("undo")).isFalse();
        String unknown = UUID.randomUUID().toString();
        for (Address address : addresses()) {
            if (address.right().filter(right -> right.roles().contains(Role.STUDENT)).isPresent() && address.path().contains("{mapId}")) {
                String path = address.path().replace("{mapId}", "%s").replaceAll("\\{[^}]*}", "x");
                String body = address.method().equals("GET") ? null : "{}";
                Answer hidden = student.send(address.method(), path.formatted(own), body);
                Answer none = student.send(address.method(), path.formatted(unknown), body);
                assertThat(hidden.text().replace(own, unknown)).as(address.path()).isEqualTo(none.text());
                assertThat(hidden.status()).as(address.path()).isEqualTo(none.status()).isGreaterThanOrEqualTo(400);
            }
        }
        owner.put("/api/maps/%s/shared?shared=true".formatted(own), "");
        assertThat(student.get("/api/maps/" + own).status()).isEqualTo(200);
        owner.put("/api/maps/%s/shared?shared=false".formatted(own), "");
        assertThat(student.get("/api/maps/" + own).status()).isEqualTo(404);
    }

    /** The role is the one that somebody has now, not the one that they signed in with. */
    @Test
    void anotherRoleHoldsAtOnce() {
        TestClient owner = CLIENTS.get(Role.OWNER);
        TestClient wren = server.client().signIn("wren", "open-the-gate");
        String id = "";
        for (JsonNode member : owner.get("/api/members").json()) {
            id = member.get("name").stringValue().equals("wren") ? member.get("id").stringValue() : id;
        }
        assertThat(wren.get("/api/members").status()).isEqualTo(403);
        assertThat(owner.put("/api/members/%s/role".formatted(id), "{\"role\":\"owner\"}").status()).isEqualTo(200);
        assertThat(wren.get("/api/members").status()).isEqualTo(200);
        assertThat(owner.put("/api/members/%s/role".formatted(id), "{\"role\":\"student\"}").status()).isEqualTo(200);
        assertThat(wren.get("/api/members").status()).isEqualTo(403);
        assertThat(owner.delete("/api/members/" + id).status()).isEqualTo(204);
        assertThat(wren.get("/api/maps").status()).isEqualTo(401);
        assertThat(wren.get("/api/session").json().get("signedIn").booleanValue()).isFalse();
    }
}
