package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;

/**
 * The kinds of drill, from the body skill alone to real resistance. What each asks of the feeder, what is counted, when to
 * stop and what to take care of is common practice, no source.
 */
public enum DrillKind implements Coded {
    SOLO("Nobody feeds; the coach walks round.", "Repetitions a side, weak side first.", "When the form goes.",
            "Bridge onto the shoulder, never onto the neck.", Order.BLOCKED),
    FIXED("Give the one stimulus, the same each time.", "Clean repetitions, and the fault that came.",
            "When the time is up, or a fault comes three times.", "Weight only as far as the partner asks for.", Order.BLOCKED),
    STEP_LIMITED("Give the stimulus; take something away: no hands, or only the first two steps.",
            "Clean repetitions of the steps that are asked for.", "When the steps come clean five times.",
            "Hold still when the step is done; nobody is pulled further.", Order.BLOCKED),
    CHAIN("Go on from where it lands; begin the next from there.", "Links a minute, and resets.",
            "When the time is up; a lost thread is begun again where it was lost.",
            "Fall where you are swept to; nobody posts a straight arm.", Order.SERIAL),
    ROUND_PATTERN("Pick from the list, at random; after the last take the stance that is asked for.",
            "Recoveries that landed, and sweeps.", "After the turns on the sheet, or when the time is up.",
            "Say the word as you move, not before; never drop onto a partner.", Order.RANDOM),
    CALLED("Choose by the list; show it, and say nothing that gives it away.", "Right readings, and how long each took.",
            "When the list is done.", "Move at a pace that can be read; speed comes later.", Order.RANDOM),
    UNTIL_OUT("Answer as the list says; whatever comes of it, go on from there.",
            "How many answers it took to be out.", "When they are out, or have tapped.",
            "A bad landing is part of it: nobody rushes to make up for it.", Order.RANDOM),
    STAGED("Begin early; next round joined, then settled, then the last chance.", "Out, by stage.",
            "After each stage's round; at the last chance nobody squeezes.",
            "The last chance is begun without force, and let go at the tap.", Order.SERIAL),
    DIAL("Add weight or grip one notch at a time, and ask after each.", "The notch at which it still came clean.",
            "At the lighter partner's word, at once.", "Never on the neck; ribs only as far as they say.", Order.SERIAL),
    DISCOVERY("Hold, and let them look for a way; no help, no words.", "What they tried, and where it led.",
            "After a minute; then talk.", "No finish, no speed: this is looking, not winning.", Order.RANDOM),
    LIVE("Resist as in earnest from the place; nothing else is asked.", "Outs, taps, seconds.",
            "Out or tap: back to the place.", "Tap early, let go at once; pairs within the weight that the coach allows.",
            Order.RANDOM),
    GATE("Give each place once a side, as the coach calls it.", "Pass or not yet, by place and side.",
            "When every place has been shown.", "The coach watches; nobody passes by force.", Order.RANDOM);

    /** How repetitions follow each other: the same again, one after the other, or at random. */
    public enum Order implements Coded {
        BLOCKED, SERIAL, RANDOM
    }

    private final String feeder;
    private final String counts;
    private final String stop;
    private final String caution;
    private final Order order;

    DrillKind(String feeder, String counts, String stop, String caution, Order order) {
        this.feeder = feeder;
        this.counts = counts;
        this.stop = stop;
        this.caution = caution;
        this.order = order;
    }

    /** What the feeder does. */
    public String feeder() {
        return feeder;
    }

    /** What is counted. */
    public String counts() {
        return counts;
    }

    /** When to stop. */
    public String stop() {
        return stop;
    }

    /** What to take care of, beside the cautions of what is practised. */
    public String caution() {
        return caution;
    }

    /** How its repetitions follow each other. */
    public Order order() {
        return order;
    }
}
