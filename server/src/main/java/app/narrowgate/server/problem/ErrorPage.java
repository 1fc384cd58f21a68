package app.narrowgate.server.problem;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container itself refuses, as a problem like any other; asked for by itself it is a page that is not there. */
@Controller
class ErrorPage implements ErrorController {

    private static final Logger LOG = LoggerFactory.getLogger(ErrorPage.class);

    private final ProblemWriter problems;

    ErrorPage(ProblemWriter problems) {
        this.problems = problems;
    }

    @RequestMapping("/error")
    void error(HttpServletRequest request, HttpServletResponse response) throws IOException {
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                ? HttpStatus.resolve(code) : HttpStatus.NOT_FOUND;
        Throwable why = (Throwable) request.getAttribute(RequestDispatcher.ERROR_EXCEPTION);
        if (DatabaseAway.is(why)) {
            DatabaseAway.tell(why, request, response, problems);
        } else if (status == null || status.is5xxServerError()) {
            UUID incident = UUID.randomUUID();
            LOG.error("A request failed before it was understood, {}", incident, why);
            problems.write(response, HttpStatus.INTERNAL_SERVER_ERROR, "Our mistake",
                    "Something went wrong on the server. Try again; if it stays, restart Narrow Gate. In its log this is %s.".formatted(incident));
        } else if (status == HttpStatus.NOT_FOUND) {
            problems.write(response, status, "Not there", "There is nothing at this address.");
        } else {
            problems.write(response, status, "Not understood", "The request could not be understood. Try again.");
        }
    }
}
