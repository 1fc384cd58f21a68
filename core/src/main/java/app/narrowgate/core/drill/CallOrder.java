package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.List;
import java.util.Random;

/**
 * The feeder's order of calls: random to the one who must read it, balanced to the one who counts.
 *
 * <p>Problem: a cyclic sequence over {@code calls} calls in which each comes {@code repetitions} times and the counts
 * of any two ordered pairs of neighbours differ by at most one. With {@code repetitions = calls} that is a de Bruijn
 * sequence B(calls, 2).
 *
 * <p>Method: a directed multigraph in which every call has {@code repetitions} arrows in and out, made of as many
 * complete graphs with loops as fit and of cyclic shifts for the rest; an Eulerian cycle of it is the
 * sequence. Arrows are laid in shuffled order, so the seed decides which of the many cycles comes out. Time and memory
 * O(calls · repetitions). The same seed gives the same order.
 */
public final class CallOrder {

    /** More calls than this nobody keeps apart by ear. */
    public static final int MOST_CALLS = 12;
    /** More repetitions of one call than this do not fit a class. */
    public static final int MOST_REPETITIONS = 500;

    private CallOrder() {
    }

    /**
     * The order, as numbers {@code 0 .. calls-1}, of length {@code calls · repetitions}.
     *
     * @throws RefusedException when there are no calls or repetitions, or too many
     */
    public static List<Integer> of(int calls, int repetitions, long seed) {
        if (!(calls >= 1 && calls <= MOST_CALLS)) {
            throw new RefusedException("%d calls; between 1 and %d can be called.".formatted(calls, MOST_CALLS));
        }
        if (!(repetitions >= 1 && repetitions <= MOST_REPETITIONS)) {
            throw new RefusedException(
                    "%d repetitions; between 1 and %d are possible.".formatted(repetitions, MOST_REPETITIONS));
        }
        Random random = Lot.of(seed);
        List<int[]> arrows = arrows(calls, repetitions, random);
        Lot.shuffle(arrows, random);
        List<Integer> names = shuffled(0, calls, random);
        return cycle(arrows, calls).stream().map(names::get).toList();
    }

    /**
     * An Eulerian cycle of arrows that hang together, as many of them into every call as out of it, without its last step
     * (Hierholzer 1873). Written out: the program that is compiled for browsers has no room for a library of graphs.
     */
    private static List<Integer> cycle(List<int[]> arrows, int calls) {
        List<Deque<Integer>> onwards = new ArrayList<>();
        for (int call = 0; call < calls; call++) {
            onwards.add(new ArrayDeque<>());
        }
        arrows.forEach(arrow -> onwards.get(arrow[0]).push(arrow[1]));
        Deque<Integer> way = new ArrayDeque<>(List.of(0));
        List<Integer> cycle = new ArrayList<>();
        while (!way.isEmpty()) {
            Deque<Integer> next = onwards.get(way.peek());
            if (next.isEmpty()) {
                cycle.add(way.pop());
            } else {
                way.push(next.pop());
            }
        }
        Collections.reverse(cycle);
        return cycle.subList(0, arrows.size());
    }

    private static List<int[]> arrows(int calls, int repetitions, Random random) {
        List<int[]> arrows = new ArrayList<>();
        for (int whole = 0; whole < repetitions / calls; whole++) {
            for (int from = 0; from < calls; from++) {
                for (int to = 0; to < calls; to++) {
                    arrows.add(new int[] {from, to});
                }
            }
        }
        // The shift by one joins all calls, so the graph hangs together even when nothing else is in it.
        List<Integer> shifts = new ArrayList<>(List.of(1 % calls));
        for (int shift : shuffled(0, calls, random)) {
            if (shift != 1 % calls) {
                shifts.add(shift);
            }
        }
        for (int shift : shifts.subList(0, repetitions % calls)) {
            for (int from = 0; from < calls; from++) {
                arrows.add(new int[] {from, (from + shift) % calls});
            }
        }
        return arrows;
    }

    private static List<Integer> shuffled(int from, int to, Random random) {
        List<Integer> numbers = new ArrayList<>();
        for (int n = from; n < to; n++) {
            numbers.add(n);
        }
        Lot.shuffle(numbers, random);
        return numbers;
    }
}
