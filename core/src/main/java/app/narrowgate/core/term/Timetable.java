package app.narrowgate.core.term;

import app.narrowgate.core.map.Id;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Which answer comes in which classes, as sets of bits by the classes' numbers. A greedy start, then every answer is placed anew, places
 * are given to another answer and first classes are exchanged, as long as the sum grows; it never falls. Each answer has at most
 * {@value #MOST_TIMES} classes.
 */
final class Timetable {

    /** Classes of the term in which an answer comes at most, beside those that were fixed. */
    static final int MOST_TIMES = 5;
    private static final int MOST_ROUNDS = 6;
    private static final int LOOKED_AHEAD = 2;
    private static final int BEAM = 3;
    /** Up to so many answers every two are placed anew together, beyond it those of which one needs the other. */
    private static final int FEW = 12;
    /** Less than this is not better. */
    private static final double LEAST = 1e-9;

    /**
     * An answer to be placed.
     *
     * @param known true where it is recalled wherever it comes
     * @param needs the number of the answer that has to come before it or in the same class; empty where it needs none that is not known
     * @param about classes in which it may be new
     * @param out classes in which it may not come
     * @param must classes in which it has to come
     * @param begins the class in which it has to be new
     */
    record Entry(Id answer, boolean known, Optional<Integer> needs, long about, long out, long must, Optional<Integer> begins) {
    }

    /** What an answer gains in some classes. */
    interface Worth {
        double of(Id answer, long classes);
    }

    private final List<ComingClass> classes;
    private final List<Entry> entries;
    private final Worth worth;
    private final long[] chosen;
    private final int[] fresh;
    private final int[] recalled;
    private final int[] roomFresh;
    private final int[] roomRecalled;

    Timetable(List<ComingClass> classes, List<Entry> entries, Worth worth) {
        this.classes = classes;
        this.entries = entries;
        this.worth = worth;
        this.chosen = new long[entries.size()];
        this.fresh = new int[classes.size()];
        this.recalled = new int[classes.size()];
        for (int e = 0; e < chosen.length; e++) {
            put(e, entries.get(e).must());
        }
        // What is fixed comes even where it is more than there is room for.
        this.roomFresh = IntStream.range(0, classes.size()).map(c -> Math.max(fresh[c], classes.get(c).fresh())).toArray();
        this.roomRecalled = IntStream.range(0, classes.size()).map(c -> Math.max(recalled[c], classes.get(c).recalls())).toArray();
    }

    /** The classes of an answer. */
    long classes(int entry) {
        return chosen[entry];
    }

    /** What all of it gains together. */
    double sum() {
        double sum = 0;
        for (int e = 0; e < chosen.length; e++) {
            sum += worth(e, chosen[e]);
        }
        return sum;
    }

    /** What an answer gains most if it comes in one class and room is no matter; 0 where it may be new in none. */
    double once(int entry) {
        Entry one = entries.get(entry);
        double best = 0;
        for (int c = 0; c < classes.size(); c++) {
            if ((one.about() & ~one.out() & 1L << c) != 0) {
                best = Math.max(best, worth(entry, 1L << c));
            }
        }
        return best;
    }

    /** The numbers of the classes in a set, in order. */
    static List<Integer> numbers(long set) {
        List<Integer> numbers = new ArrayList<>();
        for (long left = set; left != 0; left &= left - 1) {
            numbers.add(Long.numberOfTrailingZeros(left));
        }
        return numbers;
    }

    /** Finds a good timetable around what must come. */
    void fill() {
        begin();
        recall();
        for (int round = 0; round < MOST_ROUNDS && improve(); round++) {
            recall();
        }
    }

    /** Every answer gets a first class, the most promising first, where it would be recalled best. */
    private void begin() {
        boolean placed = true;
        while (placed) {
            placed = false;
            for (int e = 0; e < chosen.length; e++) {
                if (chosen[e] == 0 && !entries.get(e).known()) {
                    long first = 0;
                    double best = LEAST;
                    for (int c = 0; c < classes.size(); c++) {
                        long alone = 1L << c;
                        if (fits(e, alone)) {
                            double sum = worth(e, filled(e, alone, LOOKED_AHEAD));
                            if (sum > best + LEAST) {
                                best = sum;
                                first = alone;
                            }
                        }
                    }
                    if (first != 0) {
                        put(e, first);
                        placed = true;
                    }
                }
            }
        }
    }

    /** Gives one place after the other to the answer that gains most by it. */
    private void recall() {
        double[][] gains = new double[chosen.length][];
        while (true) {
            int answer = -1;
            int at = -1;
            double best = LEAST;
            for (int e = 0; e < chosen.length; e++) {
                if (gains[e] == null) {
                    gains[e] = gains(e);
                }
                for (int c = 0; c < classes.size(); c++) {
                    if (gains[e][c] > best && fits(e, chosen[e] | 1L << c)) {
                        best = gains[e][c];
                        answer = e;
                        at = c;
                    }
                }
            }
            if (answer < 0) {
                return;
            }
            put(answer, chosen[answer] | 1L << at);
            gains[answer] = null;
        }
    }

    private double[] gains(int entry) {
        double now = worth(entry, chosen[entry]);
        double[] gains = new double[classes.size()];
        for (int c = 0; c < gains.length; c++) {
            long with = chosen[entry] | 1L << c;
            gains[c] = with != chosen[entry] && isAllowed(entry, with) ? worth(entry, with) - now : 0;
        }
        return gains;
    }

    private boolean improve() {
        boolean better = false;
        for (int e = 0; e < chosen.length; e++) {
            better |= placeAnew(e);
        }
        for (int one = 0; one < chosen.length; one++) {
            for (int other = 0; other < chosen.length; other++) {
                better |= one != other && giveTo(one, other);
                better |= one != other && (chosen.length <= FEW || areBound(one, other)) && placeBothAnew(one, other);
                better |= one < other && exchangeFirst(one, other);
            }
        }
        return better;
    }

    /** Takes an answer out and puts it where it gains most in the room that is left. */
    private boolean placeAnew(int e) {
        long before = chosen[e];
        long best = before;
        put(e, 0);
        for (int c = 0; c < classes.size(); c++) {
            long start = entries.get(e).must() | 1L << c;
            if (fits(e, start)) {
                long whole = filled(e, start, MOST_TIMES);
                best = worth(e, whole) > worth(e, best) + LEAST ? whole : best;
            }
        }
        put(e, best);
        return best != before;
    }

    private boolean areBound(int one, int other) {
        return entries.get(one).needs().filter(need -> need == other).isPresent() || entries.get(other).needs().filter(need -> need == one).isPresent();
    }

    /**
     * Takes two answers out that are in each other's way, begins the one in each class in turn, gives it some of its classes, then the
     * other where it gains most, then the one the rest.
     */
    private boolean placeBothAnew(int one, int other) {
        long a = chosen[one];
        long b = chosen[other];
        long bestA = a;
        long bestB = b;
        for (int c = 0; c < classes.size(); c++) {
            long start = entries.get(one).must() | 1L << c;
            for (int first = 0; first <= MOST_TIMES; first++) {
                put(one, entries.get(one).must());
                put(other, entries.get(other).must());
                if (!fits(one, start)) {
                    break;
                }
                long some = filled(one, start, first);
                put(one, some);
                placeAnew(other);
                put(one, filled(one, some, MOST_TIMES - first));
                if (worth(one, chosen[one]) + worth(other, chosen[other]) > worth(one, bestA) + worth(other, bestB) + LEAST && areNeedsMet()) {
                    bestA = chosen[one];
                    bestB = chosen[other];
                }
                if (Long.bitCount(some & ~start) < first) {
                    break;
                }
            }
        }
        put(one, bestA);
        put(other, bestB);
        return bestA != a || bestB != b;
    }

    /** Gives one of an answer's classes to another where that gains more there. */
    private boolean giveTo(int one, int other) {
        for (int c : numbers(chosen[one] & ~chosen[other] & ~entries.get(one).must())) {
            long less = chosen[one] & ~(1L << c);
            long more = chosen[other] | 1L << c;
            if (isAllowed(other, more) && worth(one, less) + worth(other, more) > worth(one, chosen[one]) + worth(other, chosen[other]) + LEAST
                    && both(one, less, other, more)) {
                return true;
            }
        }
        return false;
    }

    /** Exchanges the classes in which two answers are new. */
    private boolean exchangeFirst(int one, int other) {
        long a = chosen[one];
        long b = chosen[other];
        if (a == 0 || b == 0 || entries.get(one).known() || entries.get(other).known()) {
            return false;
        }
        long firstA = Long.lowestOneBit(a);
        long firstB = Long.lowestOneBit(b);
        long newA = a & ~firstA | firstB;
        long newB = b & ~firstB | firstA;
        return firstA != firstB && isAllowed(one, newA) && isAllowed(other, newB)
                && worth(one, newA) + worth(other, newB) > worth(one, a) + worth(other, b) + LEAST && both(one, newA, other, newB);
    }

    /** Puts two answers elsewhere if both fit there; all stays as it was where they do not. */
    private boolean both(int one, long first, int other, long second) {
        long a = chosen[one];
        long b = chosen[other];
        put(one, 0);
        put(other, 0);
        put(one, first);
        put(other, second);
        if (hasRoom(first) && hasRoom(second) && isAllowed(one, first) && isAllowed(other, second) && areNeedsMet()) {
            return true;
        }
        put(one, 0);
        put(other, 0);
        put(one, a);
        put(other, b);
        return false;
    }

    private boolean hasRoom(long set) {
        return numbers(set).stream().allMatch(c -> fresh[c] <= roomFresh[c] && recalled[c] <= roomRecalled[c]);
    }

    /** {@code start} and what gains most beside it in the room that is left: one class after the other, a few of the best followed. */
    private long filled(int e, long start, int more) {
        List<Long> beam = List.of(start);
        long best = start;
        for (int i = 0; i < more && !beam.isEmpty(); i++) {
            Set<Long> further = new LinkedHashSet<>();
            for (long set : beam) {
                for (int c = Long.numberOfTrailingZeros(start) + 1; c < classes.size(); c++) {
                    long with = set | 1L << c;
                    if (with != set && fits(e, with)) {
                        further.add(with);
                    }
                }
            }
            beam = further.stream().sorted(Comparator.comparingDouble((Long set) -> worth(e, set)).reversed()).limit(BEAM).toList();
            if (!beam.isEmpty() && worth(e, beam.get(0)) > worth(e, best) + LEAST) {
                best = beam.get(0);
            }
        }
        return best;
    }

    /** True where an answer may come in these classes, the others as they are, and each has room for it. */
    private boolean fits(int e, long set) {
        if (!isAllowed(e, set)) {
            return false;
        }
        long before = chosen[e];
        put(e, set);
        boolean room = hasRoom(set & ~entries.get(e).must()) && areNeedsMet();
        put(e, before);
        return room;
    }

    private boolean isAllowed(int e, long set) {
        Entry entry = entries.get(e);
        if (set == entry.must()) {
            return true;
        }
        if ((set & entry.must()) != entry.must() || (set & entry.out() & ~entry.must()) != 0
                || Long.bitCount(set) > Math.max(MOST_TIMES, Long.bitCount(entry.must()))) {
            return false;
        }
        long first = Long.lowestOneBit(set);
        boolean begins = entry.begins().map(c -> first == 1L << c).orElse((first & (entry.about() | entry.must())) != 0);
        return set == 0 || (entry.known() || begins) && isWidening(set);
    }

    /** True where the days from one of its classes to the next always grow. */
    private boolean isWidening(long set) {
        long before = 0;
        List<Integer> numbers = numbers(set);
        for (int i = 1; i < numbers.size(); i++) {
            long gap = classes.get(numbers.get(i)).day().toEpochDay() - classes.get(numbers.get(i - 1)).day().toEpochDay();
            if (gap <= before) {
                return false;
            }
            before = gap;
        }
        return true;
    }

    private boolean areNeedsMet() {
        for (int e = 0; e < chosen.length; e++) {
            Optional<Integer> needs = entries.get(e).needs();
            boolean asked = chosen[e] == entries.get(e).must();
            if (needs.isPresent() && chosen[e] != 0 && !asked && (chosen[needs.get()] == 0
                    || Long.numberOfTrailingZeros(chosen[needs.get()]) > Long.numberOfTrailingZeros(chosen[e]))) {
                return false;
            }
        }
        return true;
    }

    private void put(int e, long set) {
        count(e, -1);
        chosen[e] = set;
        count(e, 1);
    }

    private void count(int e, int by) {
        for (int c : numbers(chosen[e])) {
            boolean asNew = !entries.get(e).known() && Long.lowestOneBit(chosen[e]) == 1L << c;
            (asNew ? fresh : recalled)[c] += by;
        }
    }

    private double worth(int e, long set) {
        return worth.of(entries.get(e).answer(), set);
    }
}
