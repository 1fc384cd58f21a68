package app.narrowgate.server.problem;

import app.narrowgate.core.check.Problem;
import java.util.stream.Collectors;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;

/** Says in plain words why a request's body could not be read, without naming what is inside the server. */
final class UnreadableBody {

    private UnreadableBody() {
    }

    static Problem problem(Throwable cause) {
        if (!(cause instanceof JacksonException e)) {
            return new Problem("", "The request has no readable body; a JSON object belongs there.");
        }
        String place = e.getPath().stream()
                .map(step -> "/" + (step.getPropertyName() == null ? step.getIndex() : step.getPropertyName()))
                .collect(Collectors.joining());
        String name = place.isEmpty() ? "The request" : "“" + place.substring(1) + "”";
        if (e instanceof UnrecognizedPropertyException) {
            return new Problem(place, name + " is not a field known here; take it out or correct its name.");
        }
        if (e instanceof MismatchedInputException mismatch) {
            return new Problem(place, name + " is not " + wanted(mismatch.getTargetType()) + "; write one there.");
        }
        var at = e.getLocation();
        return new Problem(place, "The request is not JSON"
                + (at == null ? "." : " (line %d, column %d).".formatted(at.getLineNr(), at.getColumnNr())));
    }

    private static String wanted(Class<?> type) {
        if (type == null || type.isRecord()) {
            return "an object";
        }
        if (type == boolean.class || type == Boolean.class) {
            return "true or false";
        }
        if (type.isPrimitive() || Number.class.isAssignableFrom(type)) {
            return "a number";
        }
        return type == String.class ? "a text" : "a value of the right kind";
    }
}
