package app.narrowgate.server.config;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.DemoMapTest;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;

/** Answers whose bytes are kept: the same text however they are asked for, and a new one after an edit. */
class RenderedOnceTest extends DemoMapTest {

    private static String unzipped(HttpResponse<byte[]> answer) throws IOException {
        assertThat(answer.headers().firstValue("Content-Encoding")).contains("gzip");
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(answer.body()))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void theTextIsTheSameInEveryEncoding() throws IOException {
        for (String path : new String[] {map, map + "/odds?read=0.3", map + "/odds/overview?read=0.3"}) {
            String plain = client.get(path).text();
            for (String refused : new String[] {"identity", "gzip;q=0", "br, gzip; q=0.0"}) {
                HttpResponse<byte[]> answer = client.bytes(path, refused);
                assertThat(answer.headers().firstValue("Content-Encoding")).as(refused).isEmpty();
                assertThat(new String(answer.body(), StandardCharsets.UTF_8)).isEqualTo(plain);
            }
            for (String accepted : new String[] {"gzip", "br;q=1.0, GZIP;q=0.5"}) {
                HttpResponse<byte[]> answer = client.bytes(path, accepted);
                assertThat(unzipped(answer)).as(accepted).isEqualTo(plain);
                assertThat(answer.headers().allValues("Vary")).anyMatch(value -> value.contains("Accept-Encoding"));
            }
        }
    }

    @Test
    void anEditIsSeenAtOnce() throws IOException {
        int revision = client.get(map).json().get("revision").intValue();
        client.putPart(map, revision, "facts", "rendered-anew", "{\"title\":\"Rendered anew\"}");
        assertThat(unzipped(client.bytes(map, "gzip"))).contains("Rendered anew");
        client.post(map + "/undo?revision=" + (revision + 1), "");
        assertThat(client.get(map).text()).doesNotContain("Rendered anew").contains("Put a part");
    }
}
