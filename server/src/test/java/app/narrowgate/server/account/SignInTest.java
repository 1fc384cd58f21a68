package app.narrowgate.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient.Answer;
import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SignInTest {

    private static TestServer server;

    @BeforeAll
    static void start() {
        server = TestServer.start();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/maps", "/api/maps/" + "00000000-0000-0000-0000-000000000000", "/api/openapi",
        "/api/maps/00000000-0000-0000-0000-000000000000/odds", "/api/anything", "/actuator/env"})
    void everythingIsClosedToStrangers(String path) {
        Answer answer = server.client().get(path);
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.type()).startsWith("application/problem+json");
        assertThat(answer.json().get("detail").stringValue()).contains("Sign in again");
    }

    @Test
    void onlyHealthAndTheClientsFilesAreOpen() {
        assertThat(server.client().get("/actuator/health").status()).isEqualTo(200);
        assertThat(server.client().get("/api/session").json().get("signedIn").booleanValue()).isFalse();
    }

    @Test
    void aWrongPasswordAndAWrongNameLookTheSame() {
        TestClient client = server.client();
        client.get("/api/session");
        Answer password = client.post("/api/session", "{\"name\":\"bram\",\"password\":\"guess\"}");
        Answer name = client.post("/api/session", "{\"name\":\"nobody-here\",\"password\":\"guess\"}");
        assertThat(password.status()).isEqualTo(401);
        assertThat(name.status()).isEqualTo(401);
        assertThat(password.json().get("detail")).isEqualTo(name.json().get("detail"));
    }

    @Test
    void guessingMustWait() {
        TestClient client = server.client();
        client.get("/api/session");
        for (int i = 0; i < SignInThrottle.MOST_BY_NAME; i++) {
            client.post("/api/session", "{\"name\":\"guessed\",\"password\":\"guess-%d\"}".formatted(i));
        }
        assertThat(client.post("/api/session", "{\"name\":\"guessed\",\"password\":\"x\"}").status()).isEqualTo(429);
        assertThat(client.signIn("tamsin", "open-the-gate").get("/api/maps").status()).isEqualTo(200);
    }

    @Test
    void aChangeWithoutTheTokenIsRefused() {
        TestClient client = server.signedIn();
        client.forgetToken();
        Answer answer = client.post("/api/maps/" + UUID.randomUUID() + "/undo?revision=1", "");
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.type()).startsWith("application/problem+json");
    }

    @Test
    void aBrokenSessionIsNoSession() {
        TestClient client = server.signedIn();
        client.forgetSession();
        assertThat(client.get("/api/maps").status()).isEqualTo(401);
    }

    @Test
    void signingOutEndsTheSession() {
        TestClient client = server.signedIn();
        assertThat(client.get("/api/session").json().get("displayName").stringValue()).isEqualTo("Tamsin Orrel");
        assertThat(client.delete("/api/session").status()).isEqualTo(204);
        assertThat(client.get("/api/maps").status()).isEqualTo(401);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "{}", "[]", "{\"name\":1,\"password\":\"x\"}", "{\"name\":\"\",\"password\":\"\"}",
        "{\"name\":\"a\",\"password\":\"b\",\"admin\":true}", "{\"name\":"})
    void aBadFormIsRefusedWithAReason(String body) {
        TestClient client = server.client();
        client.get("/api/session");
        Answer answer = client.post("/api/session", body);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.json().get("detail").stringValue()).isNotBlank().doesNotContain("Exception", "java");
    }
}
