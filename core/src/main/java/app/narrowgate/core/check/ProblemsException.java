package app.narrowgate.core.check;

import java.util.List;
import java.util.stream.Collectors;

/** An input refused whole, with every problem found in it. */
public final class ProblemsException extends RuntimeException {

    private final transient List<Problem> problems;

    /** Takes all problems, of which there must be at least one. */
    public ProblemsException(List<Problem> problems) {
        super(problems.stream().map(p -> p.place() + ": " + p.message()).collect(Collectors.joining("\n")));
        if (problems.isEmpty()) {
            throw new IllegalArgumentException("Impossible state: refused without a problem");
        }
        this.problems = List.copyOf(problems);
    }

    /** Every problem, in the order of the input. */
    public List<Problem> problems() {
        return problems;
    }
}
