package app.narrowgate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Whoever announces a body and never sends it holds little, not for long, and keeps nobody from reading. */
class SlowBodiesTest extends DemoMapTest {

    private static final int MANY = 220;

    @Test
    void manyBodiesThatNeverComeStopNobody() throws IOException {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < MANY; i++) {
                Socket socket = new Socket("127.0.0.1", server.port());
                slow.add(socket);
                socket.getOutputStream().write("POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Length: 900\r\n\r\n{"
                        .getBytes(StandardCharsets.US_ASCII));
            }
            assertThat(client.get("/api/maps").status()).isEqualTo(200);
            List<Integer> answers = new ArrayList<>();
            for (Socket socket : slow) {
                String status = new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
                answers.add(status.isEmpty() ? 0 : Integer.parseInt(status.substring(9)));
            }
            assertThat(answers).as("too slow, or too many at once").containsOnly(408, 503).contains(408).contains(503);
            assertThat(server.signedIn().get("/api/maps").status()).as("and then bodies are taken as ever").isEqualTo(200);
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }
}
