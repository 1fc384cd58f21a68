package app.narrowgate.core.check;

import java.util.ArrayList;
import java.util.List;

/**
 * Problems as they are found. The first {@value #MOST} are kept; who has mended those will see the rest, and an input that
 * is wrong throughout cannot make an answer larger than itself.
 */
public final class Problems {

    /** Problems that are told one by one. */
    public static final int MOST = 200;

    private final List<Problem> kept = new ArrayList<>();
    private int more;

    /** Takes a problem, or counts it where enough are kept. */
    public void add(Problem problem) {
        if (kept.size() < MOST) {
            kept.add(problem);
        } else {
            more++;
        }
    }

    /** True while nothing is wrong. */
    public boolean isEmpty() {
        return kept.isEmpty();
    }

    /** True once no further problem will be told; looking for more is of no use then. */
    public boolean isFull() {
        return kept.size() == MOST;
    }

    /** Every problem that is kept, in the order in which they were found, and last how many there are besides. */
    public List<Problem> list() {
        List<Problem> all = new ArrayList<>(kept);
        if (more > 0) {
            all.add(new Problem("", "And %d more. Mend these first.".formatted(more)));
        }
        return List.copyOf(all);
    }
}
