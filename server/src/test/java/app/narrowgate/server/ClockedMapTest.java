package app.narrowgate.server;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;

/** A server with the demo gym for a whole test class, whose clock can be set, and its first instructor signed in. */
public abstract class ClockedMapTest {

    protected static TestServer server;
    protected static TestClient client;
    /** The address of the demo gym's map. */
    protected static String map;

    @TempDir
    private static Path folder;
    private static Path clock;
    private static int ahead;

    @BeforeAll
    static void start() {
        clock = folder.resolve("ahead");
        ahead = 0;
        server = TestServer.start("--narrowgate.clock-ahead-file=" + clock);
        client = server.signedIn();
        map = "/api/maps/" + client.firstMap();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    /** Puts the server's clock ahead, by so many seconds more; back where they are below 0. */
    protected static void later(int seconds) throws IOException {
        ahead += seconds;
        Files.writeString(clock, Integer.toString(ahead));
    }
}
