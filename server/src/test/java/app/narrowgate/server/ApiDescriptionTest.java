package app.narrowgate.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** The client is generated from a copy of the API description; this keeps the copy true. */
class ApiDescriptionTest {

    private static final Path COPY = Path.of("../web/src/api/openapi.json");
    private static final JsonMapper JSON = JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    @Test
    void theClientsCopyIsTheDescriptionOfThisServer() throws IOException {
        try (TestServer server = TestServer.start()) {
            assertThat(server.client().get("/api/openapi").status()).isEqualTo(401);
            String live = JSON.writeValueAsString(server.signedIn().get("/api/openapi").json()) + "\n";
            if (Boolean.getBoolean("narrowgate.refresh-api")) {
                Files.writeString(COPY, live);
            }
            assertThat(Files.readString(COPY))
                    .as("web/src/api/openapi.json is old; refresh it with scripts/refresh-api")
                    .isEqualTo(live);
        }
    }
}
