package app.narrowgate.core.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;

/**
 * Everybody else who trains, as somebody sees them who may not see the roster: three typical partners, from the lighter third,
 * the middle one and the heavier one. Each stands for several people and is told in steps of five, so that nobody's weight is
 * read off it.
 *
 * @param third which of them
 * @param weight what the third weighs on average, in kilograms, to the next five
 * @param height how tall it is on average, in centimetres, to the next five; empty where too few heights are known
 */
public record Room(Third third, double weight, Optional<Double> height) {

    /** A third of those who train. */
    public enum Third implements Coded {
        LIGHTER, MIDDLE, HEAVIER
    }

    /** The fewest of whom an average is told. */
    public static final int FEWEST = 3;
    private static final double STEP = 5;

    /**
     * A third of the room around somebody: those of their own age group whose weight is known. Cost: sorting them.
     *
     * @param others everybody on the roster but them
     * @throws RefusedException where a third would be fewer than {@link #FEWEST}
     */
    public static Room of(Person you, List<Person> others, Third third) {
        List<Person> room = others.stream().filter(one -> one.age() == you.age() && one.weight().isPresent())
                .sorted(Comparator.comparing((Person one) -> one.weight().orElseThrow()).thenComparing(Person::name)).toList();
        int thirds = Third.values().length;
        if (room.size() < FEWEST * thirds) {
            throw new RefusedException("The room is too small to be told of without telling of somebody in it: %d others of your age group "
                    .formatted(FEWEST * thirds) + "must have a weight on the roster, and it has %d.".formatted(room.size()));
        }
        List<Person> part = room.subList(room.size() * third.ordinal() / thirds, room.size() * (third.ordinal() + 1) / thirds);
        return new Room(third, average(part, Person::weight).orElseThrow(), average(part, Person::height));
    }

    private static Optional<Double> average(List<Person> part, Function<Person, Optional<Double>> of) {
        List<Double> known = part.stream().map(of).flatMap(Optional::stream).toList();
        OptionalDouble mean = known.stream().mapToDouble(Double::doubleValue).average();
        return known.size() < FEWEST ? Optional.empty() : Optional.of(Math.rint(mean.orElseThrow() / STEP) * STEP);
    }
}
