package app.narrowgate.server;

import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;

/** A server with the demo gym for a whole test class, and its first instructor signed in. */
public abstract class DemoMapTest {

    protected static TestServer server;
    protected static TestClient client;
    /** The address of the demo gym's map. */
    protected static String map;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        client = server.signedIn();
        map = "/api/maps/" + client.firstMap();
    }

    @AfterAll
    static void stop() {
        server.close();
    }
}
