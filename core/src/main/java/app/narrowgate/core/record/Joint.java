package app.narrowgate.core.record;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.ojalgo.matrix.decomposition.Cholesky;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;

/**
 * How sure figures are that were learned together. Where only the beginning and the end of a round are known, the same round speaks for
 * several figures at once, and for none of them as much as if it had been seen: counting what is to be expected as if it had been seen would
 * make them far too sure, and would lose that of two figures one must be lower where the other is higher.
 *
 * <p>Method: near the likeliest figures what is believed is taken as normal; its information is that of what was believed before plus, for
 * each kind of round, the outer product of the score of its figures, which is what was expected less what would have been expected without
 * knowing the end (Louis 1982, on the information that is missing in EM; Berndt, Hall, Hall and Hausman 1974, on the outer product). A draw
 * starts from a draw of what was believed before, which need not be normal, and is pulled as the rounds pull (randomised maximum likelihood;
 * Oliver, He and Reynolds 1996): where no round speaks, it stays as it was drawn. Cost: O(n³) once and O(n² + n·kinds) a draw.
 */
final class Joint {

    /** Index figure: 1 over the variance of what was believed before. */
    private final double[] before;
    /** Index kind, figure: the score, times the root of how many rounds there were. */
    private final double[][] scores;
    /** The inverse of all information. */
    private final double[][] variance;

    /**
     * @param before index figure: 1 over the variance of what was believed before, above 0
     * @param scores a row for each kind of round, index figure, times the root of how many there were
     */
    Joint(double[] before, List<double[]> scores) {
        this.before = before;
        this.scores = scores.toArray(double[][]::new);
        this.variance = scores.isEmpty() ? null : inverse();
    }

    private double[][] inverse() {
        int n = before.length;
        double[][] information = new double[n][n];
        for (double[] score : scores) {
            for (int i = 0; i < n; i++) {
                if (score[i] != 0) {
                    for (int j = 0; j < n; j++) {
                        information[i][j] += score[i] * score[j];
                    }
                }
            }
        }
        for (int i = 0; i < n; i++) {
            information[i][i] += before[i];
        }
        Cholesky<Double> cholesky = Cholesky.R064.make(n, n);
        cholesky.decompose(R064Store.FACTORY.rows(information));
        MatrixStore<Double> inverse = cholesky.getInverse();
        double[][] all = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                all[i][j] = inverse.doubleValue(i, j);
            }
        }
        return all;
    }

    /** How many figures. */
    int size() {
        return before.length;
    }

    /** What is left of the variance of a figure. */
    double variance(int figure) {
        return variance == null ? 1 / before[figure] : variance[figure][figure];
    }

    /** How far {@code along}, index figure, may be off: the variance of that sum of the figures. */
    double variance(double[] along) {
        double sum = 0;
        for (int i = 0; i < along.length; i++) {
            sum += along[i] == 0 ? 0 : along[i] * times(along, i);
        }
        return sum;
    }

    private double times(double[] vector, int row) {
        if (variance == null) {
            return vector[row] / before[row];
        }
        double sum = 0;
        for (int j = 0; j < vector.length; j++) {
            sum += variance[row][j] * vector[j];
        }
        return sum;
    }

    /** The same with more rounds. */
    Joint and(List<double[]> more) {
        List<double[]> all = new ArrayList<>(List.of(scores));
        all.addAll(more);
        return new Joint(before, all);
    }

    /**
     * How far the figures lie from the likeliest, drawn.
     *
     * @param drawn index figure: how far a draw of what was believed before lies from its mean
     */
    double[] drawn(double[] drawn, SplittableRandom random) {
        if (variance == null) {
            return drawn;
        }
        double[] pull = new double[drawn.length];
        for (int i = 0; i < pull.length; i++) {
            pull[i] = before[i] * drawn[i];
        }
        for (double[] score : scores) {
            double noise = random.nextGaussian();
            for (int i = 0; i < pull.length; i++) {
                pull[i] += noise * score[i];
            }
        }
        double[] off = new double[pull.length];
        for (int i = 0; i < off.length; i++) {
            off[i] = times(pull, i);
        }
        return off;
    }
}
