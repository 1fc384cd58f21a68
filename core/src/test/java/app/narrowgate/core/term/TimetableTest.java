package app.narrowgate.core.term;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.map.Id;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class TimetableTest {

    private static final LocalDate FIRST = LocalDate.of(2026, 9, 1);

    private static List<ComingClass> classes(int count, int fresh, int recalls) {
        return IntStream.range(0, count).mapToObj(i -> new ComingClass(new UUID(0, i), FIRST.plusDays(7L * (i / 2) + 2L * (i % 2)), Focus.EVERYTHING,
                fresh, recalls, Set.of(), Set.of(), Set.of())).toList();
    }

    private static Timetable.Entry entry(int number, Optional<Integer> needs, int classes) {
        return new Timetable.Entry(Id.of("answer-" + number), false, needs, (1L << classes) - 1, 0, 0, Optional.empty());
    }

    /** Made-up gains: each class of an answer is worth something of its own, each further one less, so that exhausting is the only truth. */
    private static Timetable.Worth made(long seed, int entries, int classes) {
        Random random = new Random(seed);
        double[][] own = new double[entries][classes];
        for (double[] row : own) {
            double scale = 0.2 + random.nextDouble();
            for (int c = 0; c < classes; c++) {
                row[c] = scale * (0.5 + random.nextDouble());
            }
        }
        return (id, set) -> {
            int e = Integer.parseInt(id.value().substring("answer-".length()));
            double sum = 0;
            int n = 0;
            for (int c : Timetable.numbers(set)) {
                sum += own[e][c] / ++n;
            }
            return sum;
        };
    }

    /** Every timetable there is, by trying all; the rules are written down once more, in words of their own. */
    private static double best(List<ComingClass> classes, List<Timetable.Entry> entries, Timetable.Worth worth) {
        return best(classes, entries, worth, new long[entries.size()], 0);
    }

    private static double best(List<ComingClass> classes, List<Timetable.Entry> entries, Timetable.Worth worth, long[] chosen, int at) {
        if (at == chosen.length) {
            if (!isRight(classes, entries, chosen)) {
                return Double.NEGATIVE_INFINITY;
            }
            return IntStream.range(0, chosen.length).mapToDouble(e -> worth.of(entries.get(e).answer(), chosen[e])).sum();
        }
        double best = Double.NEGATIVE_INFINITY;
        for (long set = 0; set < 1L << classes.size(); set++) {
            chosen[at] = set;
            best = Math.max(best, best(classes, entries, worth, chosen, at + 1));
        }
        chosen[at] = 0;
        return best;
    }

    private static boolean isRight(List<ComingClass> classes, List<Timetable.Entry> entries, long[] chosen) {
        int[] fresh = new int[classes.size()];
        int[] recalls = new int[classes.size()];
        for (int e = 0; e < chosen.length; e++) {
            List<Integer> in = Timetable.numbers(chosen[e]);
            long gap = 0;
            for (int i = 0; i < in.size(); i++) {
                (i == 0 ? fresh : recalls)[in.get(i)]++;
                if (i > 0) {
                    long days = classes.get(in.get(i)).day().toEpochDay() - classes.get(in.get(i - 1)).day().toEpochDay();
                    if (days <= gap) {
                        return false;
                    }
                    gap = days;
                }
            }
            if (!in.isEmpty() && entries.get(e).needs().isPresent()) {
                List<Integer> needed = Timetable.numbers(chosen[entries.get(e).needs().get()]);
                if (needed.isEmpty() || needed.get(0) > in.get(0)) {
                    return false;
                }
            }
        }
        return IntStream.range(0, fresh.length).allMatch(c -> fresh[c] <= classes.get(c).fresh() && recalls[c] <= classes.get(c).recalls());
    }

    @Test
    void isNearlyTheBestThereIsOnWhatCanBeExhausted() {
        double worst = 1;
        double sum = 0;
        int cases = 60;
        for (int seed = 0; seed < cases; seed++) {
            int entries = 2 + seed % 2;
            int count = entries == 2 ? 6 : 5;
            List<ComingClass> classes = classes(count, 1, 1);
            List<Timetable.Entry> all = IntStream.range(0, entries).mapToObj(e -> entry(e, Optional.empty(), count)).toList();
            if (seed % 3 == 0) {
                all = new ArrayList<>(all);
                all.set(0, entry(0, Optional.of(1), count));
            }
            Timetable.Worth worth = made(seed, entries, count);
            Timetable timetable = new Timetable(classes, all, worth);
            timetable.fill();
            long[] chosen = IntStream.range(0, entries).mapToLong(timetable::classes).toArray();
            assertThat(isRight(classes, all, chosen)).as("seed %d", seed).isTrue();
            double share = timetable.sum() / best(classes, all, worth);
            assertThat(share).isLessThanOrEqualTo(1 + 1e-9);
            worst = Math.min(worst, share);
            sum += share;
        }
        assertThat(worst).isGreaterThan(0.95);
        assertThat(sum / cases).isGreaterThan(0.99);
    }

    @Test
    void keepsWhatIsFixedAndStaysAwayFromWhatWasTakenOut() {
        List<ComingClass> classes = classes(6, 1, 1);
        Timetable.Entry fixed = new Timetable.Entry(Id.of("answer-0"), false, Optional.empty(), 63, 0b000010, 0b001100, Optional.of(2));
        Timetable.Entry free = entry(1, Optional.empty(), 6);
        Timetable timetable = new Timetable(classes, List.of(fixed, free), made(5, 2, 6));
        timetable.fill();
        assertThat(timetable.classes(0) & 0b001111).isEqualTo(0b001100);
        assertThat(Timetable.numbers(timetable.classes(1)).get(0)).isNotEqualTo(2);
    }

    @Test
    void aFewRoundsLeaveNothingThatAnExchangeWouldBetter() {
        List<ComingClass> classes = classes(24, 2, 2);
        List<Timetable.Entry> all = IntStream.range(0, 30).mapToObj(e -> entry(e, e % 5 == 4 ? Optional.of(e - 1) : Optional.empty(), 24)).toList();
        Timetable.Worth worth = made(11, 30, 24);
        Timetable timetable = new Timetable(classes, all, worth);
        timetable.fill();
        long[] chosen = IntStream.range(0, 30).mapToLong(timetable::classes).toArray();
        assertThat(isRight(classes, all, chosen)).isTrue();
        for (int e = 0; e < chosen.length; e++) {
            for (int c = 0; c < 24; c++) {
                long before = chosen[e];
                chosen[e] = before | 1L << c;
                boolean right = isRight(classes, all, chosen) && Long.bitCount(chosen[e]) <= Timetable.MOST_TIMES;
                double gain = worth.of(all.get(e).answer(), chosen[e]) - worth.of(all.get(e).answer(), before);
                chosen[e] = before;
                assertThat(right && gain > 1e-6).as("answer %d in class %d", e, c).isFalse();
            }
        }
    }
}
