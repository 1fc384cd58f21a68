package app.narrowgate.core.ledger;

import app.narrowgate.core.trait.Side;
import java.util.Optional;
import org.apache.commons.numbers.gamma.LogBeta;

/** What went well on either side. */
public record Sides(Tries left, Tries right) {

    /** As sure as that one must be that a side is weaker before it is called so; our estimate. */
    private static final double SURE = 0.9;

    /**
     * Chance in [0,1] that the left side really is the weaker one, where every share was as likely as every other before. Exact: a finite sum,
     * since the shares that both may have are beta distributions of whole numbers (Miller 2015, from memory). Cost O(tries on the right).
     */
    public double leftIsWeaker() {
        double a = 1.0 + left.well();
        double b = 1.0 + left.of() - left.well();
        double c = 1.0 + right.well();
        double d = 1.0 + right.of() - right.well();
        double sum = 0;
        for (int i = 0; i < c; i++) {
            sum += Math.exp(LogBeta.value(a + i, d + b) - Math.log(d + i) - LogBeta.value(1 + i, d) - LogBeta.value(a, b));
        }
        return Math.min(1, sum);
    }

    /** The side that is weaker, nine to one at least. */
    public Optional<Side> weaker() {
        double left = leftIsWeaker();
        return left >= SURE ? Optional.of(Side.LEFT) : left <= 1 - SURE ? Optional.of(Side.RIGHT) : Optional.empty();
    }
}
