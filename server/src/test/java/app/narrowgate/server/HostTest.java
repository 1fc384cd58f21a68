package app.narrowgate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Only this machine's own names are served, and only to pages of its own; every answer says what a browser may do with it. */
class HostTest extends DemoMapTest {

    @ParameterizedTest
    @ValueSource(strings = {"evil.example", "127.0.0.1.evil.example", "localhost.evil.example:80", "", "0.0.0.0", "[::2]"})
    void anotherNameIsNotServed(String host) {
        assertThat(status("GET", "/api/session", host, "")).isIn(400, 421);
        assertThat(status("GET", "/", host, "")).isIn(400, 421);
    }

    @ParameterizedTest
    @ValueSource(strings = {"localhost", "LOCALHOST:99", "127.0.0.1", "[::1]:8080"})
    void itsOwnNamesAre(String host) {
        assertThat(status("GET", "/api/session", host, "")).isEqualTo(200);
    }

    @Test
    void aChangeAskedForByAPageElsewhereIsRefused() {
        assertThat(status("POST", "/api/session", "localhost", "Origin: http://evil.example\r\n")).isEqualTo(403);
        assertThat(status("POST", "/api/session", "localhost", "Origin: null\r\n")).isEqualTo(403);
        assertThat(answer("POST", "/api/session", "localhost", "Origin: http://localhost\r\n")).doesNotContain("Not from here");
    }

    @Test
    void everyAnswerSaysWhatABrowserMayDoWithIt() {
        assertThat(answer("GET", "/api/session", "localhost", "").lines().map(String::toLowerCase))
                .anyMatch(line -> line.startsWith("content-security-policy:"))
                .contains("referrer-policy: no-referrer", "cross-origin-opener-policy: same-origin",
                        "cross-origin-resource-policy: same-origin", "x-content-type-options: nosniff")
                .anyMatch(line -> line.startsWith("permissions-policy:"))
                .filteredOn(line -> line.startsWith("set-cookie: xsrf-token")).allMatch(line -> line.contains("samesite=strict"));
    }

    private static int status(String method, String path, String host, String more) {
        return Integer.parseInt(answer(method, path, host, more).split(" ")[1]);
    }

    private static String answer(String method, String path, String host, String more) {
        String request = "%s %s HTTP/1.1\r\nHost: %s\r\nConnection: close\r\nContent-Length: 0\r\n%s\r\n"
                .formatted(method, path, host, more);
        try (Socket socket = new Socket("127.0.0.1", server.port())) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
