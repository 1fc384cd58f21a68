package app.narrowgate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * Which piece covers which. Each is sampled into a grid of the picture as the front of its balls; where two overlap, every
 * cell votes for the one in front, and the pieces are put in an order in which as few votes as possible are against it: at
 * each step the piece is taken whose painting now costs least, nothing unless pieces cover each other in a ring.
 *
 * <p>Cost: the cells of all pieces and of all overlaps, and pieces³.
 */
final class Covering {

    private static final double NOTHING = Double.NEGATIVE_INFINITY;
    /** How far balls that stand for a limb lie apart, as a share of their radius. */
    private static final double SPACING = .6;
    /** Two surfaces nearer than this lie in each other, and neither is in front; in stature. */
    private static final double TOGETHER = .002;
    /** Flesh gives: a hand that grips lies in what it grips by no more than this, and is shown. */
    private static final double FLESH = .015;
    /** The same for pieces that hang together: round a joint they lie in each other, and look the same in either order. */
    private static final double JOINED = .05;

    private final double cell;
    private final double left;
    private final double bottom;
    private final int width;
    private final List<Layer> layers;
    private final boolean[][] joined;
    private final int[] order;
    private final int[] seen;
    private final int[] painted;

    /** Whether two pieces hang together, by their places. */
    interface Joined {
        boolean test(int one, int other);
    }

    /**
     * Sorts pieces.
     *
     * @param pieces the discs of each
     * @param cell how fine the grid is, in stature
     * @param joined true for the places of two pieces that hang together, the smaller one first
     */
    Covering(List<List<Disc>> pieces, double cell, Joined joined) {
        this.cell = cell;
        this.joined = new boolean[pieces.size()][pieces.size()];
        for (int i = 0; i < pieces.size(); i++) {
            for (int j = i + 1; j < pieces.size(); j++) {
                this.joined[i][j] = joined.test(i, j);
                this.joined[j][i] = this.joined[i][j];
            }
        }
        List<Disc> all = pieces.stream().flatMap(List::stream).toList();
        left = all.stream().mapToDouble(d -> d.x() - d.radius()).min().orElse(0);
        bottom = all.stream().mapToDouble(d -> d.y() - d.radius()).min().orElse(0);
        width = (int) Math.ceil((all.stream().mapToDouble(d -> d.x() + d.radius()).max().orElse(0) - left) / cell) + 1;
        int height = (int) Math.ceil((all.stream().mapToDouble(d -> d.y() + d.radius()).max().orElse(0) - bottom) / cell) + 1;
        layers = pieces.stream().map(Layer::new).toList();
        order = sorted(votes());
        seen = inFront(width * height);
        painted = inOrder(width * height);
    }

    /** How far the front of a piece is towards whoever looks, in the cells in which it may lie. */
    private final class Layer {
        private final int fromColumn;
        private final int toColumn;
        private final int fromRow;
        private final int toRow;
        private final double[] front;

        Layer(List<Disc> discs) {
            fromColumn = discs.stream().mapToInt(d -> (int) Math.ceil((d.x() - d.radius() - left) / cell)).min().orElse(0);
            toColumn = discs.stream().mapToInt(d -> (int) ((d.x() + d.radius() - left) / cell)).max().orElse(-1);
            fromRow = discs.stream().mapToInt(d -> (int) Math.ceil((d.y() - d.radius() - bottom) / cell)).min().orElse(0);
            toRow = discs.stream().mapToInt(d -> (int) ((d.y() + d.radius() - bottom) / cell)).max().orElse(-1);
            front = new double[Math.max(0, toColumn - fromColumn + 1) * Math.max(0, toRow - fromRow + 1)];
            Arrays.fill(front, NOTHING);
            fill(discs);
        }

        double at(int column, int row) {
            return front[(row - fromRow) * (toColumn - fromColumn + 1) + column - fromColumn];
        }

        /** Up to three discs follow a limb; more are a trunk or a foot, whose inside lies between means of every two. */
        private void fill(List<Disc> discs) {
            for (int i = 0; i < discs.size(); i++) {
                for (int j = i + 1; j < discs.size(); j++) {
                    fill(discs.get(i), discs.get(j));
                    for (int k = j + 1; k < discs.size() && discs.size() > 3; k++) {
                        fill(between(discs.get(i), discs.get(j), .5), discs.get(k));
                    }
                }
            }
        }

        private void fill(Disc a, Disc b) {
            double length = Math.sqrt((b.x() - a.x()) * (b.x() - a.x()) + (b.y() - a.y()) * (b.y() - a.y())
                    + (b.near() - a.near()) * (b.near() - a.near()));
            int steps = Math.max(1, (int) Math.ceil(length / (SPACING * Math.min(a.radius(), b.radius()))));
            for (int i = 0; i <= steps; i++) {
                splat(between(a, b, (double) i / steps));
            }
        }

        private void splat(Disc disc) {
            int low = Math.max(fromRow, (int) Math.ceil((disc.y() - disc.radius() - bottom) / cell));
            int high = Math.min(toRow, (int) ((disc.y() + disc.radius() - bottom) / cell));
            for (int row = low; row <= high; row++) {
                double dy = bottom + row * cell - disc.y();
                double half = Math.sqrt(Math.max(0, disc.radius() * disc.radius() - dy * dy));
                int from = Math.max(fromColumn, (int) Math.ceil((disc.x() - half - left) / cell));
                int to = Math.min(toColumn, (int) ((disc.x() + half - left) / cell));
                int at = (row - fromRow) * (toColumn - fromColumn + 1) - fromColumn;
                for (int column = from; column <= to; column++) {
                    double dx = left + column * cell - disc.x();
                    double near = disc.near() + Math.sqrt(Math.max(0, half * half - dx * dx));
                    front[at + column] = Math.max(front[at + column], near);
                }
            }
        }
    }

    private static Disc between(Disc a, Disc b, double share) {
        return new Disc(a.x() + share * (b.x() - a.x()), a.y() + share * (b.y() - a.y()),
                a.radius() + share * (b.radius() - a.radius()), a.near() + share * (b.near() - a.near()));
    }

    /** {@code votes[i][j]}: in how many cells i lies in front of j. */
    private int[][] votes() {
        int[][] votes = new int[layers.size()][layers.size()];
        for (int i = 0; i < layers.size(); i++) {
            for (int j = i + 1; j < layers.size(); j++) {
                vote(votes, i, j);
            }
        }
        return votes;
    }

    private void vote(int[][] votes, int i, int j) {
        Layer one = layers.get(i);
        Layer other = layers.get(j);
        double together = joined[i][j] ? JOINED : TOGETHER;
        for (int row = Math.max(one.fromRow, other.fromRow); row <= Math.min(one.toRow, other.toRow); row++) {
            for (int column = Math.max(one.fromColumn, other.fromColumn);
                    column <= Math.min(one.toColumn, other.toColumn); column++) {
                double ahead = one.at(column, row) - other.at(column, row);
                // Nothing less nothing is no number, and anything less nothing is without end: neither votes.
                if (ahead > together && ahead < Double.POSITIVE_INFINITY) {
                    votes[i][j]++;
                } else if (ahead < -together && ahead > NOTHING) {
                    votes[j][i]++;
                }
            }
        }
    }

    private static int[] sorted(int[][] votes) {
        int n = votes.length;
        int[] sorted = new int[n];
        boolean[] taken = new boolean[n];
        for (int place = 0; place < n; place++) {
            int best = -1;
            int least = Integer.MAX_VALUE;
            for (int i = 0; i < n; i++) {
                if (!taken[i]) {
                    // What i hides of what is still to come is lost; what it rightly lies under is not.
                    int cost = 0;
                    for (int j = 0; j < n; j++) {
                        cost += taken[j] || j == i ? 0 : Math.max(0, votes[i][j] - votes[j][i]);
                    }
                    if (cost < least) {
                        least = cost;
                        best = i;
                    }
                }
            }
            taken[best] = true;
            sorted[place] = best;
        }
        return sorted;
    }

    /** The pieces from the one that is painted first to the one that lies on top. */
    int[] order() {
        return order.clone();
    }

    /** The piece that is in front in each cell, or -1. */
    private int[] inFront(int cells) {
        int[] pieces = new int[cells];
        Arrays.fill(pieces, -1);
        double[] nearest = new double[cells];
        Arrays.fill(nearest, NOTHING);
        for (int i = 0; i < layers.size(); i++) {
            int piece = i;
            eachCell(i, (at, near) -> {
                if (near > nearest[at]) {
                    nearest[at] = near;
                    pieces[at] = piece;
                }
            });
        }
        return pieces;
    }

    /** The piece that is seen in each cell when all are painted in their order, or -1. */
    private int[] inOrder(int cells) {
        int[] pieces = new int[cells];
        Arrays.fill(pieces, -1);
        for (int piece : order) {
            eachCell(piece, (at, near) -> pieces[at] = piece);
        }
        return pieces;
    }

    private interface Cell {
        void at(int cell, double near);
    }

    /** Every cell in which a piece lies. */
    private void eachCell(int piece, Cell visit) {
        Layer layer = layers.get(piece);
        for (int row = layer.fromRow; row <= layer.toRow; row++) {
            for (int column = layer.fromColumn; column <= layer.toColumn; column++) {
                double near = layer.at(column, row);
                if (near > NOTHING) {
                    visit.at(row * width + column, near);
                }
            }
        }
    }

    /** How much of a piece is seen, as a share of what would be seen of it alone. */
    double[] shares() {
        int[] visible = new int[layers.size()];
        Arrays.stream(painted).filter(piece -> piece >= 0).forEach(piece -> visible[piece]++);
        double[] shares = new double[layers.size()];
        for (int i = 0; i < shares.length; i++) {
            int[] whole = {0};
            eachCell(i, (at, near) -> whole[0]++);
            shares[i] = whole[0] == 0 ? 0 : (double) visible[i] / whole[0];
        }
        return shares;
    }

    /**
     * The share of painted cells in which the order shows a piece that lies behind another, further than flesh gives.
     * Pieces that hang together are not counted: they lie in each other, have one colour and no line between them.
     */
    double wrong() {
        long all = Arrays.stream(seen).filter(piece -> piece >= 0).count();
        return (double) wrongCells().stream().mapToInt(pair -> pair[2]).sum() / all;
    }

    /**
     * The two pieces that are shown the wrong way round in most cells, one of which is {@code wanted}; empty when none are,
     * or in so few cells.
     */
    Optional<int[]> worst(int fewest, IntPredicate wanted) {
        return wrongCells().stream().filter(pair -> pair[2] > fewest && (wanted.test(pair[0]) || wanted.test(pair[1]))).reduce((a, b) -> b[2] > a[2] ? b : a)
                .map(pair -> new int[] {pair[0], pair[1]});
    }

    /** The piece that should be seen, the one that is, and in how many cells. */
    private List<int[]> wrongCells() {
        int[][] count = new int[layers.size()][layers.size()];
        for (int at = 0; at < seen.length; at++) {
            if (seen[at] >= 0 && seen[at] != painted[at] && !joined[seen[at]][painted[at]]) {
                int column = at % width;
                int row = at / width;
                if (layers.get(seen[at]).at(column, row) - layers.get(painted[at]).at(column, row) > FLESH) {
                    count[seen[at]][painted[at]]++;
                }
            }
        }
        List<int[]> pairs = new ArrayList<>();
        for (int i = 0; i < count.length; i++) {
            for (int j = 0; j < count.length; j++) {
                if (count[i][j] > 0) {
                    pairs.add(new int[] {i, j, count[i][j]});
                }
            }
        }
        return pairs;
    }
}
