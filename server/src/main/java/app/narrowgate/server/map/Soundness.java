package app.narrowgate.server.map;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapRules;
import java.util.List;

/** Nothing is stored whose parts do not fit together. */
final class Soundness {

    private Soundness() {
    }

    /**
     * Nothing, where the parts of {@code map} fit.
     *
     * @throws ProblemsException with every fault otherwise
     */
    static void require(EscapeMap map) {
        List<Problem> problems = MapRules.problems(map);
        if (!problems.isEmpty()) {
            throw new ProblemsException(problems);
        }
    }
}
