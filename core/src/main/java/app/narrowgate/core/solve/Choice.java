package app.narrowgate.core.solve;

/**
 * What the bottom player does in a situation of a solved game.
 *
 * <p>Where something is gained, the option that gains most is tried; of equals, the first in the game's order that
 * reached the worth. Where nothing is gained the tie is broken so, the first that applies: {@link Still#REST} where one
 * may rest, {@link Still#WAIT} where a clock leads elsewhere and nothing is gained there either, the first option that
 * can lead elsewhere, else {@link Still#HELD}.
 */
public sealed interface Choice {

    /** Tries an option of the game. */
    record Try(int option) implements Choice {
    }

    /** Tries nothing. */
    enum Still implements Choice {
        /** Rests: this is an end of the round, worth at least as much as going on. */
        REST,
        /** Lets the clock run, since nothing that is taught gains anything. */
        WAIT,
        /** There is neither a reaction, nor a clock, nor rest: held until somebody stops the round. */
        HELD
    }

    /** True when the round ends here. */
    default boolean rests() {
        return this == Still.REST;
    }
}
