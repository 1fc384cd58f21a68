package app.narrowgate.core.person;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.Injury;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/**
 * What hurts somebody, for how long, and what to leave out because of it.
 *
 * @param from the first day; since before anybody wrote it down where it is missing
 * @param until the last day; until somebody says that it is over where it is missing
 * @param avoid what to leave out, in words; may be empty
 */
public record Ailment(Injury injury, Optional<LocalDate> from, Optional<LocalDate> until, String avoid) {

    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);

    public Ailment {
        Text.SENTENCE.require("What to avoid", avoid);
        from.ifPresent(day -> Days.require("The first day", day, EARLIEST, LATEST));
        until.ifPresent(day -> Days.require("The last day", day, EARLIEST, LATEST));
        if (from.isPresent() && until.isPresent() && until.get().isBefore(from.get())) {
            throw new RefusedException("It is over on %s, before it begins on %s.".formatted(until.get(), from.get()));
        }
    }

    /** True on the days of it, the first and the last among them. */
    public boolean isOn(LocalDate day) {
        return from.filter(day::isBefore).isEmpty() && until.filter(day::isAfter).isEmpty();
    }

    /** The body parts that hurt on a day. */
    public static Set<Injury> on(LocalDate day, Collection<Ailment> ailments) {
        Set<Injury> hurt = EnumSet.noneOf(Injury.class);
        ailments.stream().filter(ailment -> ailment.isOn(day)).forEach(ailment -> hurt.add(ailment.injury()));
        return Collections.unmodifiableSet(hurt);
    }
}
