package app.narrowgate.server.problem;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Writes a problem where no controller is in charge: in filters and in the security chain. */
@Component
public class ProblemWriter {

    private static final List<String> OF_ONE_ANSWER = List.of(HttpHeaders.ETAG, HttpHeaders.LAST_MODIFIED, HttpHeaders.CONTENT_DISPOSITION);

    private final JsonMapper json;

    ProblemWriter(JsonMapper json) {
        this.json = json;
    }

    /** Answers with {@code status} and a problem+json body. */
    public void write(HttpServletResponse response, HttpStatus status, String title, String detail)
            throws IOException {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        takeBack(response);
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        json.writeValue(response.getOutputStream(), problem);
    }

    /** What was said of an answer that does not come is not said of the problem that comes instead. */
    static void takeBack(HttpServletResponse response) {
        response.setContentLengthLong(-1);
        OF_ONE_ANSWER.forEach(header -> response.setHeader(header, null));
    }
}
