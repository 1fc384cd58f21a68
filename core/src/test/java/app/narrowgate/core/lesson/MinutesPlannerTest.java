package app.narrowgate.core.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sharing out minutes against every allocation there is, and against taking the steepest minute first (Fox 1966) where that is exact. */
class MinutesPlannerTest {

    private static MinutesPlanner.Item item(int least, int most, MinutesPlanner.Gain gain) {
        return new MinutesPlanner.Item(least, most, -1, false, gain);
    }

    /** Random parts: gains of any form that depend on what came before, roots, musts, bounds. */
    private static List<MinutesPlanner.Part> random(Random random) {
        List<MinutesPlanner.Part> parts = new ArrayList<>();
        for (int p = 0; p < 1 + random.nextInt(3); p++) {
            List<MinutesPlanner.Item> items = new ArrayList<>();
            List<Integer> path = new ArrayList<>();
            int count = random.nextInt(4);
            for (int i = 0; i < count; i++) {
                while (!path.isEmpty() && random.nextBoolean()) {
                    path.remove(path.size() - 1);
                }
                int root = path.isEmpty() ? -1 : path.get(path.size() - 1);
                path.add(i);
                double[][] gains = new double[4][13];
                for (double[] row : gains) {
                    Arrays.setAll(row, m -> random.nextInt(20) / 4.0);
                }
                int least = 1 + random.nextInt(3);
                items.add(new MinutesPlanner.Item(least, least + random.nextInt(4), root, random.nextInt(5) == 0, (m, before) -> gains[before][m]));
            }
            int least = random.nextInt(3);
            parts.add(new MinutesPlanner.Part(least, least + random.nextInt(8), 1 + random.nextInt(3), items));
        }
        return parts;
    }

    /** The most that any allocation gains; negative infinity where there is none. */
    private static double exhaustive(List<MinutesPlanner.Part> parts, int part, int left) {
        if (part == parts.size()) {
            return left == 0 ? 0 : Double.NEGATIVE_INFINITY;
        }
        double best = Double.NEGATIVE_INFINITY;
        for (int[] given : allocations(parts.get(part).items(), left)) {
            int sum = Arrays.stream(given).sum();
            if (fits(parts.get(part), given)) {
                best = Math.max(best, gain(parts.get(part), given) + exhaustive(parts, part + 1, left - sum));
            }
        }
        return best;
    }

    private static List<int[]> allocations(List<MinutesPlanner.Item> items, int minutes) {
        List<int[]> all = new ArrayList<>(List.of(new int[items.size()]));
        for (int i = 0; i < items.size(); i++) {
            List<int[]> more = new ArrayList<>();
            for (int[] one : all) {
                for (int m = items.get(i).least(); m <= items.get(i).most() && Arrays.stream(one).sum() + m <= minutes; m++) {
                    int[] with = one.clone();
                    with[i] = m;
                    more.add(with);
                }
            }
            all.addAll(more);
        }
        return all;
    }

    private static boolean fits(MinutesPlanner.Part part, int[] given) {
        int sum = Arrays.stream(given).sum();
        boolean fits = sum >= part.least() && sum <= part.most() && Arrays.stream(given).filter(m -> m > 0).count() <= part.units();
        for (int i = 0; i < given.length; i++) {
            MinutesPlanner.Item item = part.items().get(i);
            fits &= !(item.must() && given[i] == 0) && !(given[i] > 0 && item.root() >= 0 && given[item.root()] == 0);
        }
        return fits;
    }

    private static double gain(MinutesPlanner.Part part, int[] given) {
        double gain = 0;
        int before = 0;
        for (int i = 0; i < given.length; i++) {
            if (given[i] > 0) {
                gain += part.items().get(i).gain().of(given[i], before++);
            }
        }
        return gain;
    }

    @Test
    void gainsAsMuchAsTheBestOfAllAllocations() {
        Random random = new Random(20261127);
        Set<Boolean> possible = new HashSet<>();
        for (int round = 0; round < 400; round++) {
            List<MinutesPlanner.Part> parts = random(random);
            int minutes = 2 + random.nextInt(10);
            double best = exhaustive(parts, 0, minutes);
            possible.add(best > Double.NEGATIVE_INFINITY);
            if (best == Double.NEGATIVE_INFINITY) {
                assertThatThrownBy(() -> MinutesPlanner.share(parts, minutes)).isInstanceOf(RefusedException.class).hasMessageContaining("minutes");
                continue;
            }
            MinutesPlanner.Shared shared = MinutesPlanner.share(parts, minutes);
            assertThat(shared.gain()).as("round %d", round).isCloseTo(best, within(1e-9));
            double told = 0;
            for (int p = 0; p < parts.size(); p++) {
                assertThat(fits(parts.get(p), shared.minutes()[p])).as("round %d, part %d", round, p).isTrue();
                told += gain(parts.get(p), shared.minutes()[p]);
            }
            assertThat(told).isCloseTo(best, within(1e-9));
            assertThat(Arrays.stream(shared.minutes()).flatMapToInt(Arrays::stream).sum()).isEqualTo(minutes);
        }
        assertThat(possible).as("both kinds were met").containsExactlyInAnyOrder(true, false);
    }

    /** Fox (1966): with concave gains and single minutes, the steepest next minute each time is the best there is. */
    @ParameterizedTest
    @ValueSource(ints = {5, 20, 47, 90})
    void agreesWithTheSteepestMinuteFirstWhereGainsAreConcave(int minutes) {
        double[] scale = {1, 2.5, 0.7, 1.9};
        double[] tau = {10, 30, 5, 18};
        List<MinutesPlanner.Item> items = new ArrayList<>();
        for (int i = 0; i < scale.length; i++) {
            int own = i;
            items.add(item(1, minutes, (m, before) -> scale[own] * (1 - Math.exp(-m / tau[own]))));
        }
        double greedy = 0;
        int[] given = new int[scale.length];
        for (int m = 0; m < minutes; m++) {
            int best = 0;
            double most = -1;
            for (int i = 0; i < scale.length; i++) {
                double step = items.get(i).gain().of(given[i] + 1, 0) - (given[i] == 0 ? 0 : items.get(i).gain().of(given[i], 0));
                if (step > most) {
                    most = step;
                    best = i;
                }
            }
            given[best]++;
            greedy += most;
        }
        assertThat(MinutesPlanner.share(List.of(new MinutesPlanner.Part(0, minutes, scale.length, items)), minutes).gain())
                .isCloseTo(greedy, within(1e-9));
    }

    @Test
    void saysWhatIsInTheWay() {
        MinutesPlanner.Part part = new MinutesPlanner.Part(0, 10, 1, List.of(new MinutesPlanner.Item(8, 8, -1, true, (m, b) -> 1)));
        assertThatThrownBy(() -> MinutesPlanner.share(List.of(part), 5)).hasMessageContaining("come to 8 minutes, and the class lasts 5");
        assertThatThrownBy(() -> MinutesPlanner.share(List.of(part), 20)).hasMessageContaining("8 minutes at most, and it lasts 20");
    }
}
