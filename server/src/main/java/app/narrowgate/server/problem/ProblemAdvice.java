package app.narrowgate.server.problem;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.ServletWebRequest;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Turns every exception into problem+json: what is wrong, with its value, and what to do. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    private static final Comparator<Problem> BY_PLACE = Comparator.comparing(Problem::place).thenComparing(Problem::message);

    @ExceptionHandler(NotFoundException.class)
    ProblemDetail notFound(NotFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "Not there", e.getMessage());
    }

    @ExceptionHandler(ConflictException.class)
    ProblemDetail conflict(ConflictException e) {
        ProblemDetail problem = problem(HttpStatus.CONFLICT, "Changed meanwhile", e.getMessage());
        e.properties().forEach(problem::setProperty);
        return problem;
    }

    @ExceptionHandler(BusyException.class)
    ResponseEntity<ProblemDetail> busy(BusyException e) {
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.comeBack().toSeconds()))
                .body(problem(HttpStatus.SERVICE_UNAVAILABLE, "Busy", e.getMessage()));
    }

    @ExceptionHandler(TooManyException.class)
    ResponseEntity<ProblemDetail> tooMany(TooManyException e) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(e.comeBack().toSeconds()))
                .body(problem(HttpStatus.TOO_MANY_REQUESTS, "Wait a little", e.getMessage()));
    }

    @ExceptionHandler(NotSignedInException.class)
    ProblemDetail notSignedIn(NotSignedInException e) {
        return problem(HttpStatus.UNAUTHORIZED, "Not signed in", e.getMessage());
    }

    @ExceptionHandler(ProblemsException.class)
    ProblemDetail problems(ProblemsException e) {
        int count = e.problems().size();
        String detail = count == 1 ? e.problems().get(0).message()
                : count < Problems.MOST ? "%d things are wrong; nothing was stored.".formatted(count)
                : "At least %d things are wrong; nothing was stored.".formatted(Problems.MOST);
        return withProblems(problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not accepted", detail), e.problems());
    }

    /** The domain refuses bad values with this exception and a sentence that names them; a library's own is a bug. */
    @ExceptionHandler(RefusedException.class)
    ProblemDetail refused(RefusedException e) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not accepted", e.getMessage());
    }

    @ExceptionHandler(MethodArgumentTypeMismatchException.class)
    ProblemDetail wrongType(MethodArgumentTypeMismatchException e) {
        String type = wanted(e.getRequiredType());
        String name = e.getName();
        return withProblems(problem(HttpStatus.BAD_REQUEST, "Not understood",
                "%s; %s belongs there.".formatted(GivenValue.told(name, e.getValue()), type)),
                List.of(new Problem("/" + name, type + " belongs here")));
    }

    /** Names and values are looked at when they are first asked for, which is here. */
    @ExceptionHandler(RequestRejectedException.class)
    ProblemDetail rejected(RequestRejectedException e) {
        return problem(HttpStatus.BAD_REQUEST, "Not understood",
                "Something in the address is called by characters that nothing is called by, such as the end of a line. Leave it out.");
    }

    private static String wanted(Class<?> type) {
        if (type == UUID.class) {
            return "an id as the server gave it";
        }
        return type != null && (type.isPrimitive() || Number.class.isAssignableFrom(type)) ? "a number" : "another value";
    }

    @ExceptionHandler(Exception.class)
    ProblemDetail broken(Exception e, HttpServletResponse response) {
        // Else this came of what deals with the request, before there was an answer.
        boolean answering = response.containsHeader(HttpHeaders.CONTENT_LENGTH);
        ProblemWriter.takeBack(response);
        return broken(e, answering);
    }

    /** The session is kept when the first of a long answer leaves, so that this is where one hears that the database is away. */
    @Override
    protected ResponseEntity<Object> handleHttpMessageNotWritable(HttpMessageNotWritableException e, HttpHeaders headers, HttpStatusCode status,
            WebRequest request) {
        if (request instanceof ServletWebRequest web && web.getResponse() != null) {
            ProblemWriter.takeBack(web.getResponse());
        }
        ProblemDetail problem = broken(e, true);
        return ResponseEntity.status(problem.getStatus()).body(problem);
    }

    private static ProblemDetail broken(Exception e, boolean answering) {
        if (DatabaseAway.is(e)) {
            LOG.warn("{}: {}", DatabaseAway.title(e), e.getMessage());
            return problem(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.title(e), DatabaseAway.sentence(e, answering));
        }
        UUID incident = UUID.randomUUID();
        LOG.error("A request failed, {}", incident, e);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "Our mistake",
                "Something went wrong on the server. Look whether it was stored before you try again; if it stays, restart "
                        + "Narrow Gate. In its log this is %s.".formatted(incident));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(MethodArgumentNotValidException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Problem> problems = e.getBindingResult().getFieldErrors().stream()
                .map(ProblemAdvice::problem)
                // The validator tells them in any order.
                .sorted(BY_PLACE)
                .toList();
        String detail = problems.isEmpty() ? "The request is incomplete." : problems.get(0).message();
        return ResponseEntity.badRequest()
                .body(withProblems(problem(HttpStatus.BAD_REQUEST, "Not understood", detail), problems));
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(HandlerMethodValidationException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<Problem> problems = e.getParameterValidationResults().stream()
                .map(result -> new Problem("/" + result.getMethodParameter().getParameterName(),
                        "%s; it %s.".formatted(GivenValue.told(result.getMethodParameter().getParameterName(),
                                result.getArgument()), result.getResolvableErrors().get(0).getDefaultMessage())))
                .sorted(BY_PLACE)
                .toList();
        return ResponseEntity.badRequest().body(withProblems(
                problem(HttpStatus.BAD_REQUEST, "Not understood", problems.get(0).message()), problems));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(HttpMessageNotReadableException e,
            HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Problem problem = UnreadableBody.problem(e.getCause());
        return ResponseEntity.badRequest().body(withProblems(
                problem(HttpStatus.BAD_REQUEST, "Not understood", problem.message()), List.of(problem)));
    }

    private static Problem problem(FieldError error) {
        String place = "/" + error.getField().replace('.', '/');
        return error.isBindingFailure()
                ? new Problem(place, "%s; a number belongs there.".formatted(
                        GivenValue.told(error.getField(), error.getRejectedValue())))
                : new Problem(place, "%s; it %s.".formatted(GivenValue.told(error.getField(), error.getRejectedValue()),
                        error.getDefaultMessage()));
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        return problem;
    }

    private static ProblemDetail withProblems(ProblemDetail problem, List<Problem> problems) {
        problem.setProperty("problems", problems);
        return problem;
    }
}
