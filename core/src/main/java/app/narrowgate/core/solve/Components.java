package app.narrowgate.core.solve;

import java.util.Arrays;

/**
 * Strongly connected components of a graph in compressed rows.
 *
 * <p>Tarjan, "Depth-first search and linear graph algorithms" (1972), written without recursion so that depth is
 * bounded by memory only. Time and memory O(points + arrows). Components come out sinks first, so that everything a
 * component can reach stands before it.
 *
 * @param start component {@code c} has the members {@code member[start[c]] .. member[start[c+1]-1]}
 * @param member points grouped by component
 * @param of component of each point
 */
record Components(int[] start, int[] member, int[] of) {

    int count() {
        return start.length - 1;
    }

    /**
     * The components of the graph whose point {@code v} has arrows to {@code target[row[v]] .. target[row[v+1]-1]}.
     * Arrows to points at or beyond {@code points} are ignored.
     */
    static Components of(int points, int[] row, int[] target) {
        return new Search(points, row, target).run();
    }

    private static final class Search {
        private final int points;
        private final int[] row;
        private final int[] target;
        private final int[] found;
        private final int[] low;
        private final int[] of;
        private final int[] next;
        private final int[] path;
        private final int[] open;
        private final int[] member;
        private final int[] start;
        private int pathSize;
        private int openSize;
        private int time;
        private int components;
        private int placed;

        Search(int points, int[] row, int[] target) {
            this.points = points;
            this.row = row;
            this.target = target;
            found = new int[points];
            low = new int[points];
            of = new int[points];
            next = Arrays.copyOf(row, points);
            path = new int[points];
            open = new int[points];
            member = new int[points];
            start = new int[points + 1];
            Arrays.fill(of, -1);
        }

        Components run() {
            for (int v = 0; v < points; v++) {
                if (found[v] == 0) {
                    walkFrom(v);
                }
            }
            return new Components(Arrays.copyOf(start, components + 1), member, of);
        }

        private void walkFrom(int root) {
            enter(root);
            while (pathSize > 0) {
                int v = path[pathSize - 1];
                if (next[v] < row[v + 1]) {
                    step(v, target[next[v]++]);
                } else {
                    leave(v);
                }
            }
        }

        private void enter(int v) {
            found[v] = ++time;
            low[v] = time;
            path[pathSize++] = v;
            open[openSize++] = v;
        }

        private void step(int v, int w) {
            if (w >= points) {
                return;
            }
            if (found[w] == 0) {
                enter(w);
            } else if (of[w] < 0) {
                low[v] = Math.min(low[v], found[w]);
            }
        }

        private void leave(int v) {
            pathSize--;
            if (pathSize > 0) {
                int parent = path[pathSize - 1];
                low[parent] = Math.min(low[parent], low[v]);
            }
            if (low[v] == found[v]) {
                int w;
                do {
                    w = open[--openSize];
                    of[w] = components;
                    member[placed++] = w;
                } while (w != v);
                start[++components] = placed;
            }
        }
    }
}
