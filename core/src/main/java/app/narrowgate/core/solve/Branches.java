package app.narrowgate.core.solve;

/**
 * The one place that says what can happen when something is tried: every way an exchange can go, with its share and
 * where it lands. Shares of a choice sum to 1.
 */
public final class Branches {

    /** What moves a round from one place to the next. */
    public enum Cause {
        /** Nothing was tried; the clock moved on. */
        WAITED,
        /** The clock moved on before it was under way. */
        TOO_SLOW,
        /** It was tried in time and did not get going. */
        STUFFED,
        /** It got going and was answered. */
        RESPONSE
    }

    /** Hears of each branch whose share is above 0. */
    @FunctionalInterface
    public interface Visitor {
        /**
         * One way it can go.
         *
         * @param response index into the game's responses for {@link Cause#RESPONSE}; for the others it means nothing
         */
        void branch(Cause cause, int response, int landing, double share);
    }

    private final Game game;
    private final double[] values;

    /**
     * The branches of {@code game}.
     *
     * @param values {@code values[place]}: what a reading partner goes by when he picks the worst landing
     */
    public Branches(Game game, double[] values) {
        this.game = game;
        this.values = values;
    }

    /** Visits the branches of a choice in situation {@code s}; none where nothing is done. */
    public void of(int s, Choice choice, Visitor visitor) {
        if (choice == Choice.Still.WAIT) {
            visitor.branch(Cause.WAITED, 0, game.becomes[s], 1);
        } else if (choice instanceof Choice.Try tried) {
            of(s, tried.option(), visitor);
        }
    }

    /** Visits the branches of option {@code o} of situation {@code s}. */
    public void of(int s, int o, Visitor visitor) {
        if (game.lateShare[o] > 0) {
            visitor.branch(game.waits(o) ? Cause.WAITED : Cause.TOO_SLOW, 0, game.becomes[s], game.lateShare[o]);
        }
        if (game.stuffedShare[o] > 0) {
            visitor.branch(Cause.STUFFED, 0, game.stuffed[o], game.stuffedShare[o]);
        }
        if (game.going[o] <= 0) {
            return;
        }
        int worst = game.worstResponse(o, values);
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            double habit = game.read.habit() * game.chance[i];
            double share = game.going[o] * (i == worst ? habit + game.read.share() : habit);
            if (share > 0) {
                visitor.branch(Cause.RESPONSE, i, game.landing[i], share);
            }
        }
    }
}
