package app.narrowgate.server.standing;

import app.narrowgate.core.due.Due;
import app.narrowgate.core.ledger.Ledger;
import app.narrowgate.core.ledger.Sides;
import app.narrowgate.core.movingup.Evidence;
import app.narrowgate.core.movingup.Gate;
import app.narrowgate.server.person.People;
import app.narrowgate.server.record.RecordStore;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where somebody stands.
 *
 * @param last the last day on which they trained, as far as is kept
 * @param due what they practised, what its forgetting costs most first
 * @param live live rounds by side, and how many of them ended out
 * @param clean counted repetitions by side, and how many of them came clean
 * @param gates of their level, a side each; empty where nobody asks for any, or nobody moves up from it
 * @param decided what was decided last on those of the gates on which something was
 * @param faults that were seen, the commonest first
 */
record Standing(People.InClass person, Optional<LocalDate> last, int rounds, int out, List<Due> due, List<Ledger> ledger, Sides live, Sides clean,
        List<Gate> gates, Map<Gate, RecordStore.Decided> decided, List<Fault> faults) {

    /** Days after which somebody who has not come is not counted among those who train. */
    private static final int LATELY = 56;

    /** True where they have come lately. */
    boolean isTraining(LocalDate today) {
        return last.filter(day -> day.isAfter(today.minusDays(LATELY))).isPresent();
    }

    /** Gates that a coach said were shown. */
    int shown() {
        return (int) gates.stream().filter(Gate::isShown).count();
    }

    /** Gates of which enough was seen, and nobody has said so yet. */
    int ready() {
        return (int) gates.stream().filter(gate -> !gate.isShown() && gate.evidence().says() == Evidence.Says.ENOUGH).count();
    }

    /**
     * A fault that was seen.
     *
     * @param technique in which it was seen
     * @param sign in the map's words, as they were then
     * @param times on how many occasions
     */
    record Fault(String technique, String sign, int times, LocalDate last) {
    }
}
