package app.narrowgate.core.memory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Beside the figures of the npm package ts-fsrs 5.4.2, the reference implementation of the formula, with its default parameters and without
 * its fuzz: {@code next_state} from nothing through each practice, then {@code forgetting_curve}. It rounds to eight places.
 */
class MemoryTest {

    private static final double[] DAYS = {0, 1, 7, 30, 100};

    /** Practices as days since the last one and grade from 1, then stability, difficulty, and what is left after each of the days. */
    @ParameterizedTest
    @ValueSource(strings = {
        "0:3 | 2.3065 2.11810397 | 1 0.9468475 0.80830994 0.66752633 0.55890675",
        "0:1 | 0.212 6.4133 | 1 0.76619573 0.58223541 0.46687128 0.388066",
        "0:2 | 1.2931 5.11217071 | 1 0.91666972 0.7527795 0.6136056 0.51199461",
        "0:4 | 8.2956 1 | 1 0.98292344 0.91123677 0.79177876 0.6748012",
        "0:3 2:3 | 10.96433194 2.11121424 | 1 0.98688137 0.92779044 0.81790554 0.70176986",
        "0:3 7:3 14:3 28:3 | 146.80351981 2.09745544 | 1 0.99897421 0.99297998 0.97223525 0.92415667",
        "0:3 2:3 5:3 9:3 21:3 | 124.38983831 2.09058635 | 1 0.99879021 0.99175355 0.96780322 0.91428222",
        "0:3 7:1 2:3 | 3.51929421 7.38233661 | 1 0.96281629 0.84635921 0.70835577 0.59543013",
        "0:4 30:2 3:4 | 64.97702266 1.99446196 | 1 0.99769353 0.98463754 0.94405176 0.86776762",
        "0:2 1:1 1:1 60:3 | 1.44398842 9.43807185 | 1 0.92321009 0.76353887 0.62366599 0.52066068",
        "0:3 0:3 3:3 | 13.8358397 2.1043314 | 1 0.98949931 0.93977965 0.83884134 0.72448787",
        "0:1 90:1 90:1 | 0.16379971 9.59286876 | 1 0.74101881 0.56012189 0.44877878 0.37296197"})
    void isThatOfTheReference(String told) {
        String[] parts = told.split(" \\| ");
        List<double[]> practices = new ArrayList<>();
        for (String practice : parts[0].split(" ")) {
            practices.add(figures(practice.split(":")));
        }
        Memory memory = Memory.first(grade(practices.get(0)));
        for (double[] practice : practices.subList(1, practices.size())) {
            memory = memory.after(practice[0], grade(practice));
        }
        double[] state = figures(parts[1].split(" "));
        assertThat(memory.stability()).isCloseTo(state[0], within(1e-4));
        assertThat(memory.difficulty()).isCloseTo(state[1], within(1e-6));
        double[] left = figures(parts[2].split(" "));
        for (int i = 0; i < DAYS.length; i++) {
            assertThat(memory.retention(DAYS[i])).as("%s after %s days", parts[0], DAYS[i]).isCloseTo(left[i], within(1e-6));
        }
    }

    @Test
    void nineOfTenAreLeftAfterItsStability() {
        for (double stability : new double[] {0.2, 2.3, 40, 900}) {
            assertThat(new Memory(stability, 5).retention(stability)).isCloseTo(0.9, within(1e-12));
        }
    }

    @Test
    void daysThatAreNoneAreRefused() {
        Memory memory = Memory.first(Grade.GOOD);
        for (double days : new double[] {-1, Double.NaN, Double.POSITIVE_INFINITY}) {
            assertThatThrownBy(() -> memory.retention(days)).isInstanceOf(RefusedException.class);
            assertThatThrownBy(() -> memory.after(days, Grade.GOOD)).isInstanceOf(RefusedException.class);
        }
        assertThatThrownBy(() -> new Memory(0, 5)).isInstanceOf(RefusedException.class);
    }

    private static Grade grade(double[] practice) {
        return Grade.values()[(int) practice[1] - 1];
    }

    private static double[] figures(String[] words) {
        double[] figures = new double[words.length];
        for (int i = 0; i < words.length; i++) {
            figures[i] = Double.parseDouble(words[i]);
        }
        return figures;
    }
}
