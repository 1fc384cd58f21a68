package app.narrowgate.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestClient;
import app.narrowgate.server.TestServer;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpHeaders;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What the server tells a browser to hold to (OWASP ASVS 4.0, 3.4 and 14.4). */
class HeadersTest {

    private static TestServer server;
    private static final HttpClient HTTP = HttpClient.newHttpClient();

    @BeforeAll
    static void start() {
        server = TestServer.start();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + server.port() + path));
    }

    private static HttpResponse<String> sent(HttpRequest.Builder request) throws IOException, InterruptedException {
        return HTTP.send(request.build(), BodyHandlers.ofString());
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/session", "/api/maps", "/actuator/health", "/no/such/page"})
    void everyAnswerSaysWhatItsPageMayDo(String path) throws IOException, InterruptedException {
        HttpHeaders headers = sent(request(path).GET()).headers();
        assertThat(headers.firstValue("Content-Security-Policy")).get().asString()
                .contains("default-src 'self'", "object-src 'none'", "base-uri 'none'", "frame-ancestors 'none'", "form-action 'self'")
                .doesNotContain("script-src", "unsafe-eval");
        assertThat(headers.firstValue("X-Content-Type-Options")).contains("nosniff");
        assertThat(headers.firstValue("Referrer-Policy")).contains("no-referrer");
        assertThat(headers.firstValue("Permissions-Policy")).get().asString().contains("camera=()", "microphone=()", "geolocation=()");
        assertThat(headers.firstValue("Cross-Origin-Opener-Policy")).contains("same-origin");
        assertThat(headers.firstValue("Cross-Origin-Resource-Policy")).contains("same-origin");
        assertThat(headers.firstValue("Server")).isEmpty();
    }

    @Test
    void whatIsToldOfAGymIsKeptByNobodyInBetween() {
        TestClient client = server.signedIn();
        String map = "/api/maps/" + client.firstMap();
        for (String path : List.of("/api/session", "/api/members", "/api/me/sessions", "/api/audit", "/api/people?kept=true", map)) {
            assertThat(client.bytes(path, "identity").headers().firstValue("Cache-Control")).get().asString().contains("no-store");
        }
        // What is large is kept by the browser alone, and asked after each time.
        assertThat(client.bytes(map + "/odds", "identity").headers().firstValue("Cache-Control")).get().asString()
                .contains("private", "no-cache");
    }

    @Test
    void signingInGivesANewSessionAndClosedCookies() throws IOException, InterruptedException {
        HttpResponse<String> first = sent(request("/api/session").GET());
        String token = cookie(first, "XSRF-TOKEN");
        HttpResponse<String> in = sent(request("/api/session").header("Content-Type", "application/json")
                .header("Cookie", "XSRF-TOKEN=" + value(token) + "; NGSESSION=00000000-0000-0000-0000-000000000000")
                .header("X-XSRF-TOKEN", value(token))
                .POST(BodyPublishers.ofString("{\"name\":\"tamsin\",\"password\":\"open-the-gate\"}")));
        assertThat(in.statusCode()).isEqualTo(200);
        String session = cookie(in, "NGSESSION");
        assertThat(session).contains("HttpOnly", "SameSite=Strict").doesNotContain("00000000-0000-0000-0000-000000000000");
        assertThat(value(cookie(in, "XSRF-TOKEN"))).isNotEqualTo(value(token)).isNotBlank();
        assertThat(cookie(in, "XSRF-TOKEN")).contains("SameSite=Strict");
        assertThat(cookie(in, "NGDEVICE")).contains("HttpOnly", "SameSite=Strict", "Path=/api/session");
    }

    /** The last one of that name, which is the one that holds. */
    private static String cookie(HttpResponse<?> response, String name) {
        return response.headers().allValues("Set-Cookie").stream().filter(one -> one.startsWith(name + "="))
                .reduce((before, after) -> after).orElseThrow();
    }

    private static String value(String cookie) {
        return cookie.substring(cookie.indexOf('=') + 1).split(";", 2)[0];
    }
}
