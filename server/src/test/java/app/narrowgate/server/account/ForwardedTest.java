package app.narrowgate.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Behind a proxy everybody would seem to come from the proxy; where one is told of, it is believed, and otherwise nobody is. */
class ForwardedTest {

    /** As many wrong tries as one address may make. */
    private static void tried(TestServer server, String address) {
        List<SignInThrottle.Key> keys = List.of(SignInThrottle.Key.address(address));
        for (int i = 0; i < SignInThrottle.MOST_BY_ADDRESS; i++) {
            server.bean(SignInThrottle.class).begin(keys);
        }
    }

    private static int oneTry(TestServer server, String from) {
        TestClient client = server.client().forwardedFor(from);
        client.get("/api/session");
        return client.post("/api/session", "{\"name\":\"somebody\",\"password\":\"guess\"}").status();
    }

    @Test
    void behindAProxyTriesAreCountedByWhereTheyComeFrom() {
        try (TestServer server = TestServer.start("--server.forward-headers-strategy=native")) {
            tried(server, "203.0.113.7");
            assertThat(oneTry(server, "203.0.113.7")).isEqualTo(429);
            assertThat(oneTry(server, "203.0.113.8")).as("another gym behind the same proxy").isEqualTo(401);
            TestClient tamsin = server.client().forwardedFor("203.0.113.9");
            tamsin.signIn("tamsin", "open-the-gate");
            assertThat(tamsin.cookiesAreSecure()).isTrue();
        }
    }

    @Test
    void withoutOneNobodyIsBelieved() {
        try (TestServer server = TestServer.start()) {
            tried(server, "127.0.0.1");
            assertThat(oneTry(server, "203.0.113.8")).isEqualTo(429);
            TestClient client = server.client().forwardedFor("203.0.113.8");
            client.get("/api/session");
            assertThat(client.cookiesAreSecure()).as("there is no TLS that is known of").isFalse();
        }
    }
}
