package app.narrowgate.core.person;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.person.Room.Third;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** The room is told of in thirds, and nobody in it. */
class RoomTest {

    private static final Person YOU = person("You", AgeGroup.ADULTS, 70.0, 175.0);

    private static Person person(String name, AgeGroup age, Double weight, Double height) {
        return new Person(name, Optional.empty(), Optional.ofNullable(weight), Optional.ofNullable(height), age, Optional.empty(),
                Optional.empty(), "");
    }

    private static List<Person> weighing(double... weights) {
        List<Person> people = new ArrayList<>();
        DoubleStream.of(weights).forEach(weight -> people.add(person("P" + people.size(), AgeGroup.ADULTS, weight, 100 + weight)));
        return people;
    }

    /** By hand: thirds of 50, 55, 62 and 70, 71, 79 and 88, 93, 104 weigh 55.67, 73.33 and 95 on average. */
    @Test
    void eachThirdIsItsAverageToTheNextFive() {
        List<Person> others = weighing(71, 50, 104, 62, 88, 70, 55, 93, 79);
        Collections.shuffle(others, new Random(4));
        assertThat(Room.of(YOU, others, Third.LIGHTER)).isEqualTo(new Room(Third.LIGHTER, 55, Optional.of(155.0)));
        assertThat(Room.of(YOU, others, Third.MIDDLE)).isEqualTo(new Room(Third.MIDDLE, 75, Optional.of(175.0)));
        assertThat(Room.of(YOU, others, Third.HEAVIER)).isEqualTo(new Room(Third.HEAVIER, 95, Optional.of(195.0)));
    }

    @Test
    void childrenAndWhoseWeightNobodyKnowsAreNotAmongThem() {
        List<Person> others = weighing(60, 60, 60, 70, 70, 70, 80, 80, 80);
        others.add(person("Small", AgeGroup.CHILDREN, 20.0, 110.0));
        others.add(person("Unknown", AgeGroup.ADULTS, null, 250.0 - 40));
        assertThat(Room.of(YOU, others, Third.LIGHTER).weight()).isEqualTo(60);
        Person child = person("Child", AgeGroup.CHILDREN, 30.0, 130.0);
        assertThatThrownBy(() -> Room.of(child, others, Third.LIGHTER)).isInstanceOf(RefusedException.class)
                .hasMessageContaining("9 others").hasMessageContaining("it has 1.");
    }

    @Test
    void ofFewNothingIsTold() {
        assertThatThrownBy(() -> Room.of(YOU, weighing(60, 61, 62, 63, 64, 65, 66, 67), Third.MIDDLE))
                .isInstanceOf(RefusedException.class).hasMessageContaining("too small");
        List<Person> others = weighing(60, 60, 60, 70, 70, 70, 80, 80);
        others.add(person("Last", AgeGroup.ADULTS, 80.0, null));
        assertThat(Room.of(YOU, others, Third.HEAVIER).height()).as("two heights of three are known").isEmpty();
    }

    @Test
    void whateverPeopleWeighItIsToldInStepsFromLightToHeavy() {
        for (int seed = 0; seed < 50; seed++) {
            List<Person> others = weighing(new Random(seed).doubles(9 + seed % 7, 50, 110).toArray());
            double[] told = new double[Third.values().length];
            for (Third third : Third.values()) {
                told[third.ordinal()] = Room.of(YOU, others, third).weight();
                assertThat(told[third.ordinal()] % 5).isZero();
            }
            assertThat(told).isSorted();
        }
    }
}
