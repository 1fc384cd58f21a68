package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;

/** The parts of a class, in the order in which they come; the order is common practice, no source. */
public enum Section implements Coded {
    WARM_UP(0), RECALL(0.5), NEW(2), CHAIN(1), CALLED(1), LIVE(1), TALK(0);

    private final double setUp;

    Section(double setUp) {
        this.setUp = setUp;
    }

    /** Minutes that showing and explaining a unit takes before anybody practises; our estimate. */
    public double setUp() {
        return setUp;
    }

    /** True for the parts whose minutes gain something on the map; the others frame them. */
    public boolean practises() {
        return this != WARM_UP && this != TALK;
    }

    /**
     * Minutes on one unit beyond which nothing more is learned of it in a class; our estimate for an hour, more in a longer class.
     *
     * @param minutes of the class
     */
    int mostOnOne(int minutes) {
        int hour = switch (this) {
            case RECALL -> 8;
            case NEW, CHAIN, CALLED -> 12;
            case WARM_UP, LIVE, TALK -> 60;
        };
        return (int) Math.ceil(hour * Math.max(1, minutes / 60.0));
    }

    /** Units that the section holds at most, whoever is here. */
    public int mostUnits() {
        return switch (this) {
            case WARM_UP, TALK -> 1;
            case CHAIN, CALLED, LIVE -> 2;
            case RECALL -> 3;
            case NEW -> NewLinks.MOST;
        };
    }
}
