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
 * Oliver, He and Reynolds 1996): where no round speaks, it stays as it was drawn. With one tap a round there are fewer kinds of round than
 * figures, so nothing of the size of figures by figures is made: with the scores S, what was believed before of variance V, and
 * W = (1 + S·V·Sᵀ)⁻¹·S·V, the variance of what is believed is V - V·Sᵀ·W (Woodbury), and a draw d of what was believed before becomes
 * d + Wᵀ·(e - S·d) with standard normal e (Matheron's rule; Journel and Huijbregts 1978). Of more kinds than figures only SᵀS counts, and as
 * many rows as figures say the same. Cost, for n figures, k kinds of round and m the lesser: O(n·m² + m³), with more kinds O(n²·k) besides,
 * once, and O(n·m) a draw.
 */
final class Joint {

    /** What is added to the information of a figure, by its share: scores that hang together have no triangle otherwise. */
    private static final double NOTHING = 1e-11;

    /** Index figure: the variance of what was believed before. */
    private final double[] before;
    /** Index figure, kind: the score, times the root of how many rounds there were. A sum over figures runs along its rows. */
    private final double[][] scores;
    /** W, index kind, figure. */
    private final double[][] gain;
    private final int kinds;

    /**
     * @param precision index figure: 1 over the variance of what was believed before, above 0
     * @param scores a row for each kind of round, index figure, times the root of how many there were
     */
    Joint(double[] precision, double[][] scores) {
        int n = precision.length;
        double[][] rows = n > 0 && scores.length > n ? asManyAsFigures(scores, n) : scores;
        this.kinds = rows.length;
        this.before = new double[n];
        this.scores = new double[n][kinds];
        for (int i = 0; i < n; i++) {
            before[i] = 1 / precision[i];
            for (int kind = 0; kind < kinds; kind++) {
                this.scores[i][kind] = rows[kind][i];
            }
        }
        this.gain = n == 0 || kinds == 0 ? new double[kinds][n] : gain(rows);
    }

    /** Rows R for which RᵀR is SᵀS. */
    private static double[][] asManyAsFigures(double[][] scores, int n) {
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
            information[i][i] = information[i][i] * (1 + NOTHING) + Double.MIN_NORMAL;
        }
        Cholesky<Double> cholesky = Cholesky.R064.make(n, n);
        cholesky.decompose(R064Store.FACTORY.rows(information));
        return cholesky.getL().transpose().toRawCopy2D();
    }

    private double[][] gain(double[][] scores) {
        int n = before.length;
        double[][] weighed = new double[kinds][n];
        for (int kind = 0; kind < kinds; kind++) {
            for (int i = 0; i < n; i++) {
                weighed[kind][i] = scores[kind][i] * before[i];
            }
        }
        R064Store pulled = R064Store.FACTORY.rows(weighed);
        MatrixStore<Double> of = pulled.multiply(R064Store.FACTORY.rows(this.scores));
        Cholesky<Double> cholesky = Cholesky.R064.make(kinds, kinds);
        cholesky.decompose(R064Store.FACTORY.makeEye(kinds, kinds).add(of));
        return cholesky.getSolution(pulled).toRawCopy2D();
    }

    /** What is left of the variance of a figure. */
    double variance(int figure) {
        double taken = 0;
        for (int kind = 0; kind < kinds; kind++) {
            taken += scores[figure][kind] * gain[kind][figure];
        }
        return before[figure] * (1 - taken);
    }

    /** The variance of all of them, times {@code of}. */
    double[] varied(double[] of) {
        double[] varied = new double[of.length];
        for (int i = 0; i < of.length; i++) {
            varied[i] = before[i] * of[i];
        }
        pull(varied, scored(varied));
        return varied;
    }

    /**
     * How far the figures lie from the likeliest, drawn.
     *
     * @param drawn index figure: how far a draw of what was believed before lies from its mean
     */
    double[] drawn(double[] drawn, SplittableRandom random) {
        double[] off = drawn.clone();
        double[] scored = scored(drawn);
        for (int kind = 0; kind < kinds; kind++) {
            scored[kind] -= random.nextGaussian();
        }
        pull(off, scored);
        return off;
    }

    /** S times {@code of}. */
    private double[] scored(double[] of) {
        double[] scored = new double[kinds];
        for (int i = 0; i < of.length; i++) {
            double one = of[i];
            double[] score = scores[i];
            for (int kind = 0; kind < kinds; kind++) {
                scored[kind] += score[kind] * one;
            }
        }
        return scored;
    }

    /** Takes Wᵀ times {@code scored} from {@code of}. */
    private void pull(double[] of, double[] scored) {
        for (int kind = 0; kind < kinds; kind++) {
            double one = scored[kind];
            double[] row = gain[kind];
            for (int i = 0; i < of.length; i++) {
                of[i] -= one * row[i];
            }
        }
    }
}
