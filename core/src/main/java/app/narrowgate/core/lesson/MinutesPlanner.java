package app.narrowgate.core.lesson;

import app.narrowgate.core.check.RefusedException;
import java.util.Arrays;
import java.util.List;

/**
 * Shares out the minutes of a class so that they gain most.
 *
 * <p>Problem: a multiple-choice knapsack in whole minutes. Each part holds items in the order in which they are taught; an item is left
 * out, or given minutes within its bounds, and gains by its minutes and by how many items of its part come before it. An item may need
 * another one of its part, its <i>root</i>; items stand in pre-order of that forest, so that leaving one out leaves out those below it
 * (the tree knapsack of Johnson and Niemi 1983, named from memory). The parts' minutes sum to the class's exactly. Method: dynamic programming, once
 * within every part and once over the parts; exact. Cost O(items · units · minutes²).
 */
final class MinutesPlanner {

    private static final double NONE = Double.NEGATIVE_INFINITY;

    /** What {@code minutes} of an item gain when {@code before} items of its part come before it; finite. */
    interface Gain {
        double of(int minutes, int before);
    }

    /**
     * Something that can be given minutes.
     *
     * @param least whole minutes, at least 1, if it comes at all
     * @param most whole minutes
     * @param root the number of the item that it needs in the same part; -1 for none
     * @param must true where it comes in any case
     */
    record Item(int least, int most, int root, boolean must, Gain gain) {
    }

    /**
     * A part of the class.
     *
     * @param least minutes in all
     * @param most minutes in all
     * @param units items at most
     */
    record Part(int least, int most, int units, List<Item> items) {
        Part {
            items = List.copyOf(items);
        }
    }

    /** Minutes of every item, 0 for those left out, and what they gain in all. */
    record Shared(int[][] minutes, double gain) {
    }

    private final Table[] tables;
    private final List<Part> parts;
    private final int minutes;

    private MinutesPlanner(List<Part> parts, int minutes) {
        this.parts = parts;
        this.minutes = minutes;
        this.tables = parts.stream().map(part -> new Table(part, Math.min(part.most(), minutes))).toArray(Table[]::new);
    }

    /**
     * The best way to fill {@code minutes}.
     *
     * @throws RefusedException when there is none
     */
    static Shared share(List<Part> parts, int minutes) {
        return new MinutesPlanner(parts, minutes).shared();
    }

    private Shared shared() {
        double[][] best = new double[parts.size() + 1][minutes + 1];
        int[][] taken = new int[parts.size()][minutes + 1];
        Arrays.fill(best[0], NONE);
        best[0][0] = 0;
        for (int part = 0; part < parts.size(); part++) {
            Arrays.fill(best[part + 1], NONE);
            for (int total = 0; total <= minutes; total++) {
                for (int own = parts.get(part).least(); own <= Math.min(parts.get(part).most(), total); own++) {
                    double gain = best[part][total - own] + tables[part].best(own);
                    if (gain > best[part + 1][total]) {
                        best[part + 1][total] = gain;
                        taken[part][total] = own;
                    }
                }
            }
        }
        if (best[parts.size()][minutes] == NONE) {
            throw new RefusedException(whyNone());
        }
        int[][] given = new int[parts.size()][];
        int left = minutes;
        for (int part = parts.size() - 1; part >= 0; part--) {
            int own = taken[part][left];
            given[part] = tables[part].minutes(own);
            left -= own;
        }
        return new Shared(given, best[parts.size()][minutes]);
    }

    private String whyNone() {
        int least = 0;
        int most = 0;
        for (int part = 0; part < parts.size(); part++) {
            least += tables[part].shortest();
            most += tables[part].longest();
        }
        if (least > minutes) {
            return "What is fixed, and the least that each part lasts, come to %d minutes, and the class lasts %d. Free something, or let it last longer."
                    .formatted(least, minutes);
        }
        if (most < minutes) {
            return "What may come into this class fills %d minutes at most, and it lasts %d. Let a part last longer, or make the class shorter."
                    .formatted(most, minutes);
        }
        return "The parts of this class cannot be fitted into %d minutes. Free something that is fixed, or let a part last a little longer."
                .formatted(minutes);
    }

    /** The best of one part: by the item reached, the items chosen before it and the minutes still to be given. */
    private static final class Table {
        private final Part part;
        private final int[] end;
        private final boolean[] forced;
        private final double[][][] best;
        private final int[][][] choice;

        Table(Part part, int most) {
            this.part = part;
            int items = part.items().size();
            this.end = ends(part.items());
            this.forced = new boolean[items];
            for (int i = items - 1; i >= 0; i--) {
                forced[i] |= part.items().get(i).must();
                if (forced[i] && part.items().get(i).root() >= 0) {
                    forced[part.items().get(i).root()] = true;
                }
            }
            this.best = new double[items + 1][part.units() + 1][most + 1];
            this.choice = new int[items][part.units() + 1][most + 1];
            fill(most);
        }

        /** One past the last item below each; refuses what is not in pre-order. */
        private static int[] ends(List<Item> items) {
            int[] end = new int[items.size()];
            for (int i = 0; i < end.length; i++) {
                int last = i;
                for (int j = i + 1; j < end.length && below(items, j, i); j++) {
                    last = j;
                }
                end[i] = last + 1;
                if (items.get(i).root() >= i || items.get(i).root() >= 0 && end[items.get(i).root()] <= i) {
                    throw new IllegalArgumentException("Impossible state: item " + i + " does not follow what it needs");
                }
            }
            return end;
        }

        private static boolean below(List<Item> items, int item, int root) {
            for (int at = items.get(item).root(); at >= root; at = items.get(at).root()) {
                if (at == root) {
                    return true;
                }
            }
            return false;
        }

        private void fill(int most) {
            int items = part.items().size();
            for (double[] row : best[items]) {
                Arrays.fill(row, NONE);
                row[0] = 0;
            }
            for (int i = items - 1; i >= 0; i--) {
                Item item = part.items().get(i);
                for (int before = part.units(); before >= 0; before--) {
                    for (int left = 0; left <= most; left++) {
                        double found = forced[i] ? NONE : best[end[i]][before][left];
                        int taken = 0;
                        for (int own = item.least(); before < part.units() && own <= Math.min(item.most(), left); own++) {
                            double rest = best[i + 1][before + 1][left - own];
                            double gain = rest == NONE ? NONE : rest + item.gain().of(own, before);
                            if (gain > found) {
                                found = gain;
                                taken = own;
                            }
                        }
                        best[i][before][left] = found;
                        choice[i][before][left] = taken;
                    }
                }
            }
        }

        double best(int minutes) {
            return best[0][0][minutes];
        }

        /** Minutes that it lasts at least: those of the part, or of what must come. */
        int shortest() {
            int must = 0;
            for (int i = 0; i < forced.length; i++) {
                must += forced[i] ? part.items().get(i).least() : 0;
            }
            return Math.max(part.least(), must);
        }

        /** Minutes that it can be made to last, at most. */
        int longest() {
            for (int m = best[0][0].length - 1; m > 0; m--) {
                if (best(m) != NONE) {
                    return m;
                }
            }
            return 0;
        }

        int[] minutes(int total) {
            int[] given = new int[part.items().size()];
            int left = total;
            int before = 0;
            for (int i = 0; i < given.length;) {
                int own = choice[i][before][left];
                given[i] = own;
                left -= own;
                before += own > 0 ? 1 : 0;
                i = own > 0 ? i + 1 : end[i];
            }
            return given;
        }
    }
}
