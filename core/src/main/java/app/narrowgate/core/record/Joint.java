package app.narrowgate.core.record;

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
 * Oliver, He and Reynolds 1996): where no round speaks, it stays as it was drawn. Cost: O(n³ + n²·kinds) once and O(n² + n·kinds) a draw, for n
 * figures.
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
    Joint(double[] before, double[][] scores) {
        this.before = before;
        this.scores = scores;
        this.variance = inverse();
    }

    private double[][] inverse() {
        int n = before.length;
        double[][] information = new double[n][n];
        for (double[] score : scores) {
            for (int i = 0; i < n; i++) {
                double one = score[i];
                if (one != 0) {
                    double[] row = information[i];
                    for (int j = 0; j <= i; j++) {
                        row[j] += one * score[j];
                    }
                }
            }
        }
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < i; j++) {
                information[j][i] = information[i][j];
            }
            information[i][i] += before[i];
        }
        if (n == 0) {
            return information;
        }
        Cholesky<Double> cholesky = Cholesky.R064.make(n, n);
        cholesky.decompose(R064Store.FACTORY.rows(information));
        MatrixStore<Double> inverse = cholesky.getInverse();
        return inverse.toRawCopy2D();
    }

    /** What is left of the variance of a figure. */
    double variance(int figure) {
        return variance[figure][figure];
    }

    /** The variance of all of them, times {@code of}. */
    double[] varied(double[] of) {
        double[] varied = new double[of.length];
        for (int i = 0; i < of.length; i++) {
            double sum = 0;
            for (int j = 0; j < of.length; j++) {
                sum += variance[i][j] * of[j];
            }
            varied[i] = sum;
        }
        return varied;
    }

    /**
     * How far the figures lie from the likeliest, drawn.
     *
     * @param drawn index figure: how far a draw of what was believed before lies from its mean
     */
    double[] drawn(double[] drawn, SplittableRandom random) {
        int n = drawn.length;
        double[] pull = new double[n];
        for (int i = 0; i < n; i++) {
            pull[i] = before[i] * drawn[i];
        }
        for (double[] score : scores) {
            double noise = random.nextGaussian();
            for (int i = 0; i < n; i++) {
                pull[i] += noise * score[i];
            }
        }
        double[] off = new double[n];
        for (int i = 0; i < n; i++) {
            double sum = 0;
            double[] row = variance[i];
            for (int j = 0; j < n; j++) {
                sum += row[j] * pull[j];
            }
            off[i] = sum;
        }
        return off;
    }
}
