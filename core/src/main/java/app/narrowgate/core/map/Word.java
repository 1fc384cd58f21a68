package app.narrowgate.core.map;

import app.narrowgate.core.check.Coded;

/**
 * The four words for how often. The numbers behind them are a convention of the project until a record replaces
 * them.
 */
public enum Word implements Coded {
    RARELY(1, 0.2),
    SOMETIMES(3, 0.4),
    OFTEN(6, 0.6),
    USUALLY(12, 0.8);

    private final double weight;
    private final double chance;

    Word(double weight, double chance) {
        this.weight = weight;
        this.chance = chance;
    }

    /** Relative weight among the responses to one reaction. */
    public double weight() {
        return weight;
    }

    /** Chance that a reaction gets going. */
    public double chance() {
        return chance;
    }
}
