package app.narrowgate.core.due;

import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.memory.Grade;
import app.narrowgate.core.memory.Memory;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One answer practised by one person on one day.
 *
 * @param clean repetitions that were counted, and how many of them came clean; nothing where nobody counted
 * @param live live rounds that turned on it, and how many of them ended out
 */
public record Practice(LocalDate day, Id reaction, Tries clean, Tries live) {

    /** Below such a share it was gone, came with trouble, came; our estimates. */
    private static final double[] SHARES = {0.4, 0.7, 0.9};
    /** So often is it supposed to have gone as it usually does, so that one repetition does not say all; our estimates. */
    private static final double SUPPOSED = 2;
    private static final double USUALLY = 0.8;

    /** Taught or drilled in a class where nobody counted. */
    public static Practice inClass(LocalDate day, Id reaction) {
        return new Practice(day, reaction, Tries.NONE, Tries.NONE);
    }

    private Practice and(Practice other) {
        return new Practice(day, reaction, clean.and(other.clean), live.and(other.live));
    }

    private static Optional<Grade> grade(Tries seen) {
        if (seen.of() == 0) {
            return Optional.empty();
        }
        double share = (seen.well() + SUPPOSED * USUALLY) / (seen.of() + SUPPOSED);
        int passed = 0;
        while (passed < SHARES.length && share >= SHARES[passed]) {
            passed++;
        }
        return Optional.of(Grade.values()[passed]);
    }

    /** How it went: what does not hold in a live round is not held, whatever the repetitions say; it came where nobody counted anything. */
    Grade grade() {
        Optional<Grade> drilled = grade(clean);
        return grade(live).filter(one -> drilled.isEmpty() || one.compareTo(drilled.get()) < 0).or(() -> drilled).orElse(Grade.GOOD);
    }

    /**
     * What somebody holds of one answer.
     *
     * @param last the last day on which they practised it
     * @param days on how many days they did
     */
    public record Held(LocalDate last, int days, Memory memory) {

        /** Of all they practised of it, in whatever order; at least once. What was done on one day counts once. */
        public static Held of(Collection<Practice> all) {
            TreeMap<LocalDate, Practice> byDay = new TreeMap<>();
            all.forEach(one -> byDay.merge(one.day(), one, Practice::and));
            Optional<Held> held = Optional.empty();
            for (Practice one : byDay.values()) {
                held = Optional.of(held.map(before -> before.after(one)).orElseGet(() -> new Held(one.day(), 1, Memory.first(one.grade()))));
            }
            return held.orElseThrow();
        }

        private Held after(Practice one) {
            return new Held(one.day(), days + 1, memory.after(Memory.DAYS.nearest(ChronoUnit.DAYS.between(last, one.day())), one.grade()));
        }

        /** Chance in (0,1] that it is still there on a day; of a day before the last one, as on that one. */
        public double on(LocalDate day) {
            return memory.retention(Memory.DAYS.nearest(ChronoUnit.DAYS.between(last, day)));
        }
    }
}
