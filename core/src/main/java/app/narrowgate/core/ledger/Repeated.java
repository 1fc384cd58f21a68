package app.narrowgate.core.ledger;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * Repetitions of one technique by one person in one go.
 *
 * @param side empty where nobody said
 * @param role first where they did it, second where they fed it
 * @param many at least 0
 * @param clean how many of them came clean; empty where nobody looked
 * @param counted false for what is only reckoned from the minutes of a class
 */
public record Repeated(LocalDate day, Id technique, Optional<Side> side, Role role, double many, OptionalInt clean, boolean counted) {

    private static final double MINUTE = 60;

    public Repeated {
        if (!(many >= 0) || clean.isPresent() && (clean.getAsInt() < 0 || clean.getAsInt() > many)) {
            throw new RefusedException("%s clean of %s: there cannot be more clean ones than there were.".formatted(clean, many));
        }
    }

    /**
     * What the minutes of a class come to for each of those who were in it, about: half of the time they did it, half of it they fed it, both
     * sides alike, and after each they went back to where it begins. Our estimate, until somebody counts.
     *
     * @param minutes that the technique was given, after it was shown
     * @param seconds that it takes
     */
    public static List<Repeated> about(LocalDate day, Id technique, double minutes, double seconds) {
        double each = Math.max(0, minutes) * MINUTE / (seconds + HouseTimes.USUAL.responding() + HouseTimes.USUAL.reset());
        double part = each / (Role.values().length * Side.values().length);
        List<Repeated> all = new ArrayList<>();
        for (Role role : Role.values()) {
            for (Side side : Side.values()) {
                all.add(new Repeated(day, technique, Optional.of(side), role, part, OptionalInt.empty(), false));
            }
        }
        return all;
    }

    /** Minutes on each of so many techniques that a part of a class was given, after it was shown; a live round is no repetition. */
    public static double minutes(Section section, int given, int techniques) {
        return section.practises() && section != Section.LIVE && techniques > 0 ? Math.max(0, given - section.setUp()) / techniques : 0;
    }
}
