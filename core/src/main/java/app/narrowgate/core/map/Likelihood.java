package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;

/** How often something happens: said in one of four words, or as a number. */
public sealed interface Likelihood {

    /** A response's weight: above 0, at most a million. */
    Range WEIGHT = new Range(1e-6, 1e6, "");

    /** As a relative weight among the responses to one reaction; above 0. */
    double weight();

    /** As a chance in [0,1]. */
    double chance();

    /** Said in a word. */
    static Likelihood of(Word word) {
        return new Said(word);
    }

    /** Given as a number; its range depends on use and is checked there. */
    static Likelihood of(double number) {
        return new Counted(number);
    }

    /** Said in a word. */
    record Said(Word word) implements Likelihood {
        @Override
        public double weight() {
            return word.weight();
        }

        @Override
        public double chance() {
            return word.chance();
        }
    }

    /** Given as a number that is a weight or a chance, whichever is asked for. */
    record Counted(double number) implements Likelihood {
        public Counted {
            WIDEST.require("A likelihood", number);
        }

        private static final Range WIDEST = new Range(0, 1e6, "");

        @Override
        public double weight() {
            return number;
        }

        @Override
        public double chance() {
            return number;
        }
    }
}
