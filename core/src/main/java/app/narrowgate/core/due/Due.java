package app.narrowgate.core.due;

import app.narrowgate.core.lesson.StudentOdds;
import app.narrowgate.core.map.Id;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;

/**
 * What somebody holds of one answer that they practised, and what its forgetting costs.
 *
 * @param retention chance in (0,1] that it is still there
 * @param cost worth in [0,1] of the starts that is lost by what is gone of it: what the map writes down of it holds as often as it is still there. To first
 *     order, a little too small where much is gone; 0 where the answer is closed to them, or leads to nothing they need
 */
public record Due(Id reaction, Practice.Held held, double retention, double cost) {

    /** Where less than this is left it is due. */
    public static final double ENOUGH = 0.9;

    /** True where it should be practised again. */
    public boolean isDue() {
        return retention < ENOUGH && cost > 0;
    }

    /** The day from which on it is due, were it worth anything. */
    public LocalDate from() {
        return held.last().plusDays((long) Math.ceil(held.memory().stability()));
    }

    /**
     * Everything that somebody practised and that is on the map, what costs most first. Cost O(practices · log practices).
     *
     * @param odds of the one who practised it
     */
    public static List<Due> of(StudentOdds odds, Collection<Practice> practised, LocalDate today) {
        Map<Id, List<Practice>> byReaction = practised.stream().filter(one -> odds.knows(one.reaction()))
                .collect(Collectors.groupingBy(Practice::reaction));
        return byReaction.entrySet().stream().map(each -> of(odds, each.getKey(), Practice.Held.of(each.getValue()), today))
                .sorted(Comparator.comparingDouble((Due one) -> -one.cost()).thenComparingDouble(Due::retention).thenComparing(Due::reaction)).toList();
    }

    private static Due of(StudentOdds odds, Id reaction, Practice.Held held, LocalDate today) {
        double left = held.on(today);
        double written = odds.written(reaction);
        return new Due(reaction, held, left, odds.slope(reaction) * Math.max(0, odds.works(reaction, written) - odds.works(reaction, written * left)));
    }

    /**
     * What is due in a class.
     *
     * @param who for whom it is, in the order in which they were given
     * @param cost worth of the starts that its forgetting costs those who are in the class, on average, whoever it is due for
     */
    public record InClass(Id reaction, List<UUID> who, double cost) {
        public InClass {
            who = List.copyOf(who);
        }
    }

    /** What is due for somebody who is in a class, what costs most first. */
    public static List<InClass> inClass(Map<UUID, List<Due>> people) {
        Map<Id, List<UUID>> who = new LinkedHashMap<>();
        Map<Id, Double> costs = new LinkedHashMap<>();
        people.forEach((person, all) -> all.stream().filter(Due::isDue).forEach(one -> {
            who.computeIfAbsent(one.reaction(), id -> new ArrayList<>()).add(person);
            costs.merge(one.reaction(), one.cost() / people.size(), Double::sum);
        }));
        return who.entrySet().stream().map(each -> new InClass(each.getKey(), each.getValue(), costs.get(each.getKey())))
                .sorted(Comparator.comparingDouble((InClass one) -> -one.cost()).thenComparing(InClass::reaction)).toList();
    }
}
