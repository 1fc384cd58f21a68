package app.narrowgate.core.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Which piece covers which. Each is sampled into a grid of the picture as the front of its balls; where two overlap, every
 * cell votes for the one in front, and the pieces are put in an order in which as few votes as possible are against it: at
 * each step the piece is taken whose painting now costs least, nothing unless pieces cover each other in a ring.
 *
 * <p>Cost: the cells of all pieces, and pieces³.
 */
final class Covering {

    private static final double NOTHING = Double.NEGATIVE_INFINITY;
    /** Two surfaces nearer than this lie in each other, and neither is in front; in stature. */
    private static final double TOGETHER = .002;

    private final int width;
    private final int height;
    private final double left;
    private final double bottom;
    private final double cell;
    /** How far the front of each piece is towards whoever looks, cell by cell. */
    private final double[][] fronts;
    private final int[] order;

    Covering(List<List<Disc>> pieces, double cell) {
        this.cell = cell;
        double right = NOTHING;
        double top = NOTHING;
        double least = Double.POSITIVE_INFINITY;
        double low = Double.POSITIVE_INFINITY;
        for (Disc disc : pieces.stream().flatMap(List::stream).toList()) {
            least = Math.min(least, disc.x() - disc.radius());
            low = Math.min(low, disc.y() - disc.radius());
            right = Math.max(right, disc.x() + disc.radius());
            top = Math.max(top, disc.y() + disc.radius());
        }
        left = least;
        bottom = low;
        width = (int) Math.ceil((right - left) / cell) + 1;
        height = (int) Math.ceil((top - bottom) / cell) + 1;
        fronts = new double[pieces.size()][];
        for (int i = 0; i < pieces.size(); i++) {
            fronts[i] = front(pieces.get(i));
        }
        order = sorted(votes());
    }

    private double[] front(List<Disc> discs) {
        double[] front = new double[width * height];
        Arrays.fill(front, NOTHING);
        // A chain of three follows a limb; more are a trunk or a foot, filled from every pair and every mean of three.
        for (int i = 0; i < discs.size(); i++) {
            for (int j = i + 1; j < discs.size(); j++) {
                fill(front, discs.get(i), discs.get(j));
                for (int k = j + 1; k < discs.size(); k++) {
                    Disc third = discs.get(k);
                    for (double share = .25; share < 1; share += .25) {
                        fill(front, between(discs.get(i), discs.get(j), share), third);
                    }
                }
            }
        }
        return front;
    }

    private static Disc between(Disc a, Disc b, double share) {
        return new Disc(a.x() + share * (b.x() - a.x()), a.y() + share * (b.y() - a.y()),
                a.radius() + share * (b.radius() - a.radius()), a.near() + share * (b.near() - a.near()));
    }

    private void fill(double[] front, Disc a, Disc b) {
        double length = Math.sqrt((b.x() - a.x()) * (b.x() - a.x()) + (b.y() - a.y()) * (b.y() - a.y())
                + (b.near() - a.near()) * (b.near() - a.near()));
        int steps = Math.max(1, (int) Math.ceil(length / (.25 * Math.min(a.radius(), b.radius()))));
        for (int i = 0; i <= steps; i++) {
            splat(front, between(a, b, (double) i / steps));
        }
    }

    private void splat(double[] front, Disc disc) {
        int from = Math.max(0, (int) Math.ceil((disc.x() - disc.radius() - left) / cell));
        int to = Math.min(width - 1, (int) ((disc.x() + disc.radius() - left) / cell));
        int low = Math.max(0, (int) Math.ceil((disc.y() - disc.radius() - bottom) / cell));
        int high = Math.min(height - 1, (int) ((disc.y() + disc.radius() - bottom) / cell));
        for (int row = low; row <= high; row++) {
            double dy = bottom + row * cell - disc.y();
            for (int column = from; column <= to; column++) {
                double dx = left + column * cell - disc.x();
                double square = disc.radius() * disc.radius() - dx * dx - dy * dy;
                if (square >= 0) {
                    int at = row * width + column;
                    front[at] = Math.max(front[at], disc.near() + Math.sqrt(square));
                }
            }
        }
    }

    /** {@code votes[i][j]}: in how many cells i lies in front of j. */
    private int[][] votes() {
        int[][] votes = new int[fronts.length][fronts.length];
        int[] here = new int[fronts.length];
        for (int at = 0; at < width * height; at++) {
            int found = 0;
            for (int i = 0; i < fronts.length; i++) {
                if (fronts[i][at] > NOTHING) {
                    here[found++] = i;
                }
            }
            for (int a = 0; a < found; a++) {
                for (int b = a + 1; b < found; b++) {
                    double ahead = fronts[here[a]][at] - fronts[here[b]][at];
                    if (ahead > TOGETHER) {
                        votes[here[a]][here[b]]++;
                    } else if (ahead < -TOGETHER) {
                        votes[here[b]][here[a]]++;
                    }
                }
            }
        }
        return votes;
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

    /** The piece that is seen in each cell, or -1. */
    private int[] seen() {
        int[] seen = new int[width * height];
        for (int at = 0; at < seen.length; at++) {
            seen[at] = -1;
            for (int i = 0; i < fronts.length; i++) {
                if (fronts[i][at] > NOTHING && (seen[at] < 0 || fronts[i][at] > fronts[seen[at]][at])) {
                    seen[at] = i;
                }
            }
        }
        return seen;
    }

    /** How much of a piece is seen, as a share of what would be seen of it alone. */
    double[] shares() {
        int[] whole = new int[fronts.length];
        int[] visible = new int[fronts.length];
        int[] seen = seen();
        for (int at = 0; at < seen.length; at++) {
            for (int i = 0; i < fronts.length; i++) {
                whole[i] += fronts[i][at] > NOTHING ? 1 : 0;
            }
            if (seen[at] >= 0) {
                visible[seen[at]]++;
            }
        }
        double[] shares = new double[fronts.length];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = whole[i] == 0 ? 0 : (double) visible[i] / whole[i];
        }
        return shares;
    }

    /**
     * The share of painted cells in which the order shows a piece that lies behind another by more than
     * {@code depth} of stature.
     */
    double wrong(double depth) {
        int[] seen = seen();
        int[] painted = new int[seen.length];
        Arrays.fill(painted, -1);
        for (int piece : order) {
            for (int at = 0; at < painted.length; at++) {
                if (fronts[piece][at] > NOTHING) {
                    painted[at] = piece;
                }
            }
        }
        int all = 0;
        int wrong = 0;
        for (int at = 0; at < seen.length; at++) {
            if (seen[at] >= 0) {
                all++;
                wrong += fronts[seen[at]][at] - fronts[painted[at]][at] > depth ? 1 : 0;
            }
        }
        return (double) wrong / all;
    }

    /** Where of a piece something is seen nearest to the middle of all that is seen of it; nothing where none is. */
    List<double[]> anchors() {
        int[] seen = seen();
        double[] x = new double[fronts.length];
        double[] y = new double[fronts.length];
        int[] count = new int[fronts.length];
        for (int at = 0; at < seen.length; at++) {
            if (seen[at] >= 0) {
                x[seen[at]] += at % width;
                y[seen[at]] += at / width;
                count[seen[at]]++;
            }
        }
        double[] nearest = new double[fronts.length];
        Arrays.fill(nearest, Double.POSITIVE_INFINITY);
        List<double[]> anchors = new ArrayList<>();
        for (int i = 0; i < fronts.length; i++) {
            anchors.add(new double[0]);
        }
        for (int at = 0; at < seen.length; at++) {
            int i = seen[at];
            if (i >= 0) {
                double dx = at % width - x[i] / count[i];
                double dy = at / width - y[i] / count[i];
                if (dx * dx + dy * dy < nearest[i]) {
                    nearest[i] = dx * dx + dy * dy;
                    anchors.set(i, new double[] {left + at % width * cell, bottom + at / width * cell});
                }
            }
        }
        return anchors;
    }
}
