package app.narrowgate.core.lesson;

import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** The matchups of a class: everybody under the average of the others of their age, and the pair that is typical of all. */
final class Typical {

    /** Gaps are told in steps, so that students who differ by little are reckoned once. */
    private static final double STEP = 5;

    private Typical() {
    }

    /** A student under the average of the others of their age group; an even gap where weights or heights are not known. */
    static Matchup matchup(Student student, List<Student> all, Matchup house) {
        List<Person> others = all.stream().filter(other -> !other.id().equals(student.id())).map(Student::person)
                .filter(other -> other.age() == student.person().age()).toList();
        return of(house, Matchup.WEIGHT_GAP.nearest(gap(student.person(), others, Person::weight)),
                Matchup.HEIGHT_GAP.nearest(gap(student.person(), others, Person::height)), student.person().age(), student.level(), student.hurt());
    }

    /** An even pair of the middle level, children where all are, whom nothing hurts. */
    static Matchup of(List<Student> all, Matchup house) {
        boolean children = !all.isEmpty() && all.stream().allMatch(student -> student.person().age() == AgeGroup.CHILDREN);
        List<Level> levels = all.stream().map(Student::level).sorted().toList();
        return of(house, 0, 0, children ? AgeGroup.CHILDREN : AgeGroup.ADULTS,
                levels.isEmpty() ? house.level() : levels.get(levels.size() / 2), Set.of());
    }

    private static Matchup of(Matchup house, double weightGap, double heightGap, AgeGroup age, Level level, Set<Injury> hurt) {
        return new Matchup(house.id(), house.title(), weightGap, heightGap, house.jacket(), house.setting(), age, level, hurt, house.facts());
    }

    private static double gap(Person you, List<Person> others, Function<Person, Optional<Double>> of) {
        double mean = others.stream().map(of).flatMap(Optional::stream).mapToDouble(Double::doubleValue).average().orElse(Double.NaN);
        return of.apply(you).filter(own -> !Double.isNaN(mean)).map(own -> Math.rint((mean - own) / STEP) * STEP).orElse(0.0);
    }
}
