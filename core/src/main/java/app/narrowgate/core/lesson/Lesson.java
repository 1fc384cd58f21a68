package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Setting;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * A class as it is kept: what was asked for, and what came of it.
 *
 * @param title what it is called
 * @param starts by the clock of the gym
 * @param minutes how long it lasts
 * @param aim an aim of the map; the first one where it is missing
 * @param read how well partners read, in [0,1]
 * @param late seconds by which students start too late
 * @param usual the shape, where it is one of the house's; it follows the length
 * @param own the shape, where it is not
 * @param here who is here, by their places on the roster
 * @param fixed units that come in any case, with their minutes where these are fixed
 * @param term units that the term asks for, the most important first; they come where there is room
 * @param out units that do not come
 * @param together pairs that stay together
 * @param apart pairs that never come together
 * @param odd what becomes of the one who is left over
 * @param limit kilograms that two of a pair should be apart at most in live rounds
 * @param turn another number gives other pairs
 * @param planned what was planned, in order; empty while nothing was
 * @param came what really came in it, in order; empty while it was not run
 */
public record Lesson(String title, LocalDate day, LocalTime starts, int minutes, Focus focus, Optional<Id> aim, double read, double late,
        Optional<ClassShape.Usual> usual, Optional<ClassShape> own, List<UUID> here, Map<String, Optional<Integer>> fixed, List<String> term,
        Set<String> out,        Set<Couple> together, Set<Couple> apart, PairRequest.Odd odd, double limit, int turn, List<Planned> planned,
        List<Came> came) {

    /** A key of a unit. */
    public static final Text KEY = new Text(1, 140);
    /** Minutes that a unit may have taken. */
    public static final Range MINUTES_CAME = ClassRequest.FIXED;
    /** Units that may be fixed or left out. */
    public static final int MOST_KEYS = 60;

    private static final LocalDate EARLIEST = LocalDate.of(1990, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);

    /**
     * A unit that was planned.
     *
     * @param reactions what is practised in it
     */
    public record Planned(String unit, Section section, int minutes, List<Id> reactions) {
        public Planned {
            KEY.require("A unit's key", unit);
            ClassRequest.FIXED.require("A unit's minutes", minutes);
            reactions = List.copyOf(reactions);
        }
    }

    /**
     * A unit that really came.
     *
     * @param reactions what was practised in it
     * @param pairs who worked with whom; in a three each with each
     */
    public record Came(String unit, Section section, int minutes, List<Id> reactions, Set<Couple> pairs) {
        public Came {
            KEY.require("A unit's key", unit);
            MINUTES_CAME.require("A unit's minutes", minutes);
            reactions = List.copyOf(reactions);
            pairs = Set.copyOf(pairs);
        }

        Planned asPlanned() {
            return new Planned(unit, section, minutes, reactions);
        }
    }

    public Lesson {
        Text.TITLE.require("The title of a class", title);
        ClassShape.MINUTES.require("The length of a class", minutes);
        Range.CHANCE.require("How well partners read", read);
        Setting.LATE.require("The late start", late);
        RoundWish.LIMIT.require("The limit of the weight gap", limit);
        PairRequest.TURNS.require("The number of the pairs", turn);
        if (day.isBefore(EARLIEST) || day.isAfter(LATEST)) {
            throw new RefusedException("The day is %s; a class lies between 1990 and 2200.".formatted(day));
        }
        if (usual.isPresent() == own.isPresent()) {
            throw new RefusedException("A class has a shape: one of the house's, or its own.");
        }
        here = List.copyOf(here);
        if (here.size() > ClassRequest.MOST_STUDENTS || new HashSet<>(here).size() < here.size()) {
            throw new RefusedException("At most %d people are in a class, each once.".formatted(ClassRequest.MOST_STUDENTS));
        }
        fixed = Collections.unmodifiableMap(new LinkedHashMap<>(fixed));
        out = Set.copyOf(out);
        if (fixed.size() > MOST_KEYS || out.size() > MOST_KEYS) {
            throw new RefusedException("At most %d things are fixed or taken out of a class.".formatted(MOST_KEYS));
        }
        term = List.copyOf(term);
        if (term.size() > MOST_KEYS) {
            throw new RefusedException("A term asks for at most %d things in a class.".formatted(MOST_KEYS));
        }
        term.forEach(key -> KEY.require("What the term asks for", key));
        fixed.keySet().forEach(key -> KEY.require("What is fixed", key));
        fixed.values().forEach(given -> given.ifPresent(m -> ClassRequest.FIXED.require("What is fixed", m)));
        out.forEach(key -> KEY.require("What is taken out", key));
        together = Set.copyOf(together);
        apart = Set.copyOf(apart);
        planned = List.copyOf(planned);
        came = List.copyOf(came);
    }

    /** True where nothing more can be planned in it: it was run, or its day is over. */
    public boolean isOver(LocalDate today) {
        return !came.isEmpty() || day.isBefore(today);
    }

    /** How long its parts may last. */
    public ClassShape shape() {
        return own.orElseGet(() -> usual.orElseThrow().of(minutes));
    }

    /** The same with what was planned. */
    public Lesson planned(List<Planned> other) {
        return new Lesson(title, day, starts, minutes, focus, aim, read, late, usual, own, here, fixed, term, out, together, apart, odd, limit, turn,
                other, came);
    }

    /** The same with who was really there, and what came. */
    public Lesson came(List<UUID> there, List<Came> what) {
        return new Lesson(title, day, starts, minutes, focus, aim, read, late, usual, own, there, fixed, term, out, together, apart, odd, limit, turn,
                planned, what);
    }

    /** The same with other things that the term asks for. */
    public Lesson asked(List<String> other) {
        return new Lesson(title, day, starts, minutes, focus, aim, read, late, usual, own, here, fixed, other, out, together, apart, odd, limit, turn,
                planned, came);
    }

    /** What came where it was run, else what was planned. */
    public List<Planned> asItWas() {
        return came.isEmpty() ? planned : came.stream().map(Came::asPlanned).toList();
    }

    /** The same as it came, or where it was not run as it was planned, and no otherwise, whatever it would gain: for a class that is over. */
    public Lesson asPlanned() {
        Map<String, Optional<Integer>> all = new LinkedHashMap<>();
        asItWas().forEach(one -> all.put(one.unit(), Optional.of(one.minutes())));
        Map<Section, ClassShape.Span> spans = new EnumMap<>(Section.class);
        for (Section section : Section.values()) {
            int taken = asItWas().stream().filter(one -> one.section() == section).mapToInt(Planned::minutes).sum();
            spans.put(section, new ClassShape.Span(0, Math.min(taken, (int) ClassShape.MINUTES.high())));
        }
        return new Lesson(title, day, starts, minutes, focus, aim, read, late, Optional.empty(),
                Optional.of(new ClassShape(spans)), here, all, term, Set.of(), together, apart, odd, limit, turn, planned, came);
    }

    /** Reactions that whoever was here was taught, in order, each once; what came up in live rounds alone is not among them. */
    public List<Id> taught() {
        return reactions(asItWas().stream().filter(one -> one.section() != Section.LIVE));
    }

    /** Of these what was not recalled itself: what is owed to those who missed it. */
    public List<Id> shown() {
        return reactions(asItWas().stream().filter(one -> one.section() != Section.LIVE && one.section() != Section.RECALL));
    }

    private static List<Id> reactions(Stream<Planned> of) {
        return of.flatMap(one -> one.reactions().stream()).distinct().toList();
    }
}
