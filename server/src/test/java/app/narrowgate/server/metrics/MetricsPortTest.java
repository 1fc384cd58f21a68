package app.narrowgate.server.metrics;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestServer;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is told on the port of its own, and what is told nowhere else. */
class MetricsPortTest {

    @TempDir
    private static Path folder;
    private static TestServer server;

    @BeforeAll
    static void start() throws Exception {
        Path backup = Files.createFile(folder.resolve("last-backup"));
        server = TestServer.start("--narrowgate.metrics-port=0", "--narrowgate.last-backup-file=" + backup);
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    private static HttpResponse<String> ask(String method, String path) throws Exception {
        URI uri = URI.create("http://127.0.0.1:" + server.bean(MetricsPort.class).port() + path);
        return HttpClient.newHttpClient().send(HttpRequest.newBuilder(uri).method(method, BodyPublishers.noBody()).build(), BodyHandlers.ofString());
    }

    @Test
    void itTellsWhatIsAskedForLimitsTheDatabaseAndTheBackup() throws Exception {
        server.signedIn().get("/api/maps");
        HttpResponse<String> told = ask("GET", "/metrics");
        assertThat(told.statusCode()).isEqualTo(200);
        assertThat(told.headers().firstValue("Content-Type")).get().asString().startsWith("text/plain; version=0.0.4");
        assertThat(told.body()).contains("http_server_requests_seconds_bucket{", "uri=\"/api/maps\"", "narrowgate_limit_met_total{limit=\"archives-at-once\"}",
                "hikaricp_connections_active", "jvm_memory_used_bytes", "narrowgate_build{build=");
        assertThat(told.body()).containsPattern("(?m)^narrowgate_backup_age_seconds \\d+\\.\\d+$");
    }

    @Test
    void nothingOfAPersonOrAMapStandsInIt() throws Exception {
        String map = server.signedIn().firstMap();
        server.signedIn().get("/api/maps/" + map);
        assertThat(ask("GET", "/metrics").body()).doesNotContain(map, "tamsin");
    }

    @Test
    void nothingElseIsAnsweredThere() throws Exception {
        assertThat(ask("GET", "/").statusCode()).isEqualTo(404);
        assertThat(ask("POST", "/metrics").statusCode()).isEqualTo(405);
    }

    @Test
    void withoutAPortThereIsNone() {
        try (TestServer other = TestServer.start()) {
            assertThat(other.bean(MetricsPort.class).isRunning()).isFalse();
        }
        assertThat(server.bean(MetricsPort.class).isRunning()).isTrue();
    }

    @Test
    void onThePortOfThePeopleNobodyReadsThem() {
        for (String path : new String[] {"/actuator/metrics", "/actuator/prometheus", "/metrics"}) {
            assertThat(server.signedIn().get(path).text()).as(path).doesNotContain("jvm_memory", "narrowgate.limit");
        }
        assertThat(server.client().get("/actuator/health/liveness").status()).isEqualTo(200);
        assertThat(server.client().get("/actuator/health/readiness").text()).contains("UP").doesNotContain("PostgreSQL");
    }
}
