package app.narrowgate.core.drill;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/** Three guessers with two habits each, who watch a row of calls as it comes. */
final class Guessers {

    private static final int MEMORIES = 3;
    private static final int HABITS = 2;

    private final int calls;
    /** How often each call came after what the guesser remembers, by memory and what is remembered. */
    private final Map<Integer, int[]> seen = new HashMap<>();
    private final double[][] hits = new double[MEMORIES][HABITS];
    private int length;
    private int last;
    private int lastButOne;

    Guessers(int calls) {
        this.calls = calls;
        this.last = calls;
        this.lastButOne = calls;
    }

    private int[] counts(int memory) {
        int remembered = switch (memory) {
            case 0 -> 0;
            case 1 -> last;
            default -> last * (calls + 1) + lastButOne;
        };
        return seen.computeIfAbsent(MEMORIES * remembered + memory, key -> new int[calls]);
    }

    /** Share in [0,1] of a guess that falls on {@code call}. */
    private static double guess(int[] counts, int habit, int call) {
        int wanted = habit == 0 ? Arrays.stream(counts).max().orElse(0) : Arrays.stream(counts).min().orElse(0);
        return counts[call] == wanted ? 1.0 / Arrays.stream(counts).filter(count -> count == wanted).count() : 0;
    }

    /**
     * How much {@code call} would help the guessers who are ahead of blind luck so far, in calls: at least 0. A row that
     * leans away from it leaves none of them ahead for long.
     */
    double helped(int call) {
        double sum = 0;
        for (int memory = 0; memory < MEMORIES; memory++) {
            for (int habit = 0; habit < HABITS; habit++) {
                double ahead = hits[memory][habit] - (double) length / calls;
                sum += ahead > 0 ? ahead * guess(counts(memory), habit, call) : 0;
            }
        }
        return sum;
    }

    /** The next call comes. */
    void sees(int call) {
        for (int memory = 0; memory < MEMORIES; memory++) {
            int[] counts = counts(memory);
            for (int habit = 0; habit < HABITS; habit++) {
                hits[memory][habit] += guess(counts, habit, call);
            }
            counts[call]++;
        }
        lastButOne = last;
        last = call;
        length++;
    }

    private double rate(int memory) {
        return length == 0 ? 1.0 / calls : Math.max(hits[memory][0], hits[memory][1]) / length;
    }

    Guessing rates() {
        return new Guessing(rate(0), rate(1), rate(2), calls);
    }
}
