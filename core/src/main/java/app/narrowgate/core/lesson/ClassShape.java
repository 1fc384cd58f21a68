package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * How long each part of a class may last.
 *
 * @param spans whole minutes from least to most for every section; a section whose most is 0 does not come
 */
public record ClassShape(Map<Section, Span> spans) {

    /** Minutes of a class. */
    public static final Range MINUTES = new Range(20, 180, "minutes");
    /** Fewer minutes than this on one thing teach little; common practice, no source. */
    public static final int LEAST_UNIT = 3;
    /** A gate is shown on both sides by both partners, and the coach goes round: our estimate. */
    static final int LEAST_GATE = 6;

    private static final int HOUR = 60;

    /** Whole minutes from least to most. */
    public record Span(int least, int most) {
        public Span {
            MOST.require("The least of a part", least);
            MOST.require("The most of a part", most);
            if (most < least) {
                throw new RefusedException("A part of at least %d and at most %d minutes: the first number is the smaller one."
                        .formatted(least, most));
            }
        }

        private static final Range MOST = new Range(0, MINUTES.high(), "minutes");

        private Span scaled(double times) {
            return new Span((int) MOST.nearest(Math.floor(least * times)), (int) MOST.nearest(Math.ceil(most * times)));
        }
    }

    /** The shapes that the house brings along: schools differ in what an hour is for. Figures for one hour; our estimates. */
    public enum Usual implements Coded {
        /** Show, chain, call, then a little live. */
        STEP_BY_STEP(new int[][] {{5, 8}, {3, 8}, {6, 24}, {6, 16}, {5, 12}, {5, 15}, {3, 5}}),
        /** Little is shown; most is worked out against a partner who means it. */
        MOSTLY_LIVE(new int[][] {{4, 6}, {0, 5}, {3, 9}, {0, 8}, {6, 15}, {20, 40}, {3, 6}}),
        /** Nothing new: what is there is made fast. */
        REPETITION(new int[][] {{5, 8}, {6, 20}, {0, 0}, {12, 30}, {8, 20}, {5, 15}, {2, 5}}),
        /** First months: few things, much time for each, no live rounds. */
        FIRST_MONTHS(new int[][] {{8, 12}, {4, 10}, {10, 24}, {6, 18}, {4, 10}, {0, 0}, {4, 8}}),
        /** Before somebody moves up: what they have to show, both sides, with what is due before it. */
        GATE_EVENING(new int[][] {{5, 8}, {4, 16}, {0, 0}, {0, 0}, {0, 10}, {24, 45}, {4, 8}});

        private final int[][] hour;

        Usual(int[][] hour) {
            this.hour = hour;
        }

        /** The shape of a class of so many minutes. */
        public ClassShape of(int minutes) {
            MINUTES.require("The length of a class", minutes);
            Map<Section, Span> spans = new EnumMap<>(Section.class);
            for (Section section : Section.values()) {
                int[] span = hour[section.ordinal()];
                spans.put(section, new Span(span[0], span[1]));
            }
            return new ClassShape(spans).scaled((double) minutes / HOUR);
        }
    }

    public ClassShape {
        Map<Section, Span> ordered = new EnumMap<>(Section.class);
        ordered.putAll(spans);
        List<String> missing = new ArrayList<>();
        for (Section section : Section.values()) {
            if (!ordered.containsKey(section)) {
                missing.add(section.code());
            }
        }
        if (!missing.isEmpty()) {
            throw new RefusedException("A class's shape says how long every part lasts; %s is missing. Write 0 to 0 for a part that does not come."
                    .formatted(String.join(", ", missing)));
        }
        spans = Collections.unmodifiableMap(ordered);
    }

    /** The same for a class {@code times} as long, above 0; no part longer than a class may be. */
    public ClassShape scaled(double times) {
        Map<Section, Span> other = new EnumMap<>(Section.class);
        spans.forEach((section, span) -> other.put(section, span.scaled(times)));
        return new ClassShape(other);
    }

    /** How long a section may last. */
    public Span of(Section section) {
        return spans.get(section);
    }
}
