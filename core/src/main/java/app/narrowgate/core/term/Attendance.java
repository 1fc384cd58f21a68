package app.narrowgate.core.term;

import app.narrowgate.core.check.Range;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;

/**
 * How often people come, from the classes that were. The mean of a Beta belief, drawn to what is known less closely: a weekday to the person's
 * own rate, the person to everybody's, everybody to one of two. The strength of each is {@value #STRENGTH} classes; our estimate.
 */
public final class Attendance {

    /** Classes that the rougher rate counts as. */
    static final double STRENGTH = 4;
    /** Before anything is known. */
    private static final double NOTHING_KNOWN = 0.5;

    /**
     * A class that was held.
     *
     * @param here who was there
     */
    public record Held(LocalDate day, Set<UUID> here) {
        public Held {
            here = Set.copyOf(here);
        }
    }

    private final Map<DayOfWeek, Integer> held = new HashMap<>();
    private final Map<UUID, Map<DayOfWeek, Integer>> came = new HashMap<>();
    private final int classes;
    private final double everybody;

    private Attendance(List<Held> all, Collection<UUID> people) {
        int times = 0;
        for (Held one : all) {
            held.merge(one.day().getDayOfWeek(), 1, Integer::sum);
            for (UUID person : people) {
                if (one.here().contains(person)) {
                    came.computeIfAbsent(person, p -> new HashMap<>()).merge(one.day().getDayOfWeek(), 1, Integer::sum);
                    times++;
                }
            }
        }
        this.classes = all.size();
        this.everybody = mean(times, classes * people.size(), NOTHING_KNOWN);
    }

    /**
     * What the classes that were held say.
     *
     * @param people whose rates make up everybody's
     */
    public static Attendance of(List<Held> held, Collection<UUID> people) {
        return new Attendance(held, people);
    }

    /** Chance in (0,1) that somebody comes to a class on that day of the week. */
    public double comes(UUID person, DayOfWeek day) {
        return Range.CHANCE.nearest(mean(came.getOrDefault(person, Map.of()).getOrDefault(day, 0), held.getOrDefault(day, 0), comes(person)));
    }

    /** The same on whatever day. */
    public double comes(UUID person) {
        return mean(came.getOrDefault(person, Map.of()).values().stream().mapToInt(times -> times).sum(), classes, everybody);
    }

    private static double mean(int times, int of, double rougher) {
        return (times + STRENGTH * rougher) / (of + STRENGTH);
    }
}
