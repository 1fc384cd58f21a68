package app.narrowgate.core.person;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A person in one line, as fast as one types: the name first, then whatever is known in any order, between commas: “Wren Askeby,
 * 62 kg, 171 cm, beginner, left”. The first bare number is kilograms, the second centimetres. Pounds, metres and feet are turned
 * into them.
 */
public final class PersonLine {

    private static final double KILOGRAMS_PER_POUND = 0.45359237;
    private static final double CENTIMETRES_PER_INCH = 2.54;
    private static final int INCHES_PER_FOOT = 12;

    private static final Pattern NUMBER = Pattern.compile("(\\d{1,3}(?:[.,]\\d{1,2})?)\\s*(kgs?|kilos?|lbs?|cm|m)?");
    private static final Pattern FEET = Pattern.compile("(\\d)\\s*(?:ft|'|’|′)\\s*(\\d{1,2})?\\s*(?:in|\"|”|″|'')?");
    private static final Pattern DAY = Pattern.compile("(?:since\\s+)?(\\d{4})-(\\d{1,2})(?:-(\\d{1,2}))?");

    private static final Map<String, Level> LEVELS = Map.ofEntries(Map.entry("novice", Level.NOVICE), Map.entry("beginner", Level.NOVICE),
            Map.entry("new", Level.NOVICE), Map.entry("first months", Level.NOVICE), Map.entry("intermediate", Level.INTERMEDIATE),
            Map.entry("some years", Level.INTERMEDIATE), Map.entry("advanced", Level.ADVANCED), Map.entry("experienced", Level.ADVANCED));
    private static final Map<String, AgeGroup> AGES = Map.of("child", AgeGroup.CHILDREN, "children", AgeGroup.CHILDREN, "kid", AgeGroup.CHILDREN,
            "adult", AgeGroup.ADULTS, "adults", AgeGroup.ADULTS, "grown up", AgeGroup.ADULTS);
    private static final Map<String, Side> SIDES = Map.of("left", Side.LEFT, "right", Side.RIGHT, "left side", Side.LEFT, "right side", Side.RIGHT,
            "left-handed", Side.LEFT, "right-handed", Side.RIGHT);

    private final String line;
    private Optional<Level> level = Optional.empty();
    private Optional<Double> weight = Optional.empty();
    private Optional<Double> height = Optional.empty();
    private Optional<AgeGroup> age = Optional.empty();
    private Optional<Side> strong = Optional.empty();
    private Optional<LocalDate> joined = Optional.empty();

    private PersonLine(String line) {
        this.line = line;
    }

    /**
     * The person of a line.
     *
     * @throws RefusedException naming what is not understood, or said twice, and how to write it
     */
    public static Person read(String line) {
        return new PersonLine(line).read();
    }

    private Person read() {
        // A comma between figures belongs to the number.
        List<String> said = Arrays.stream(Text.tidy(line).split("[;\\t]|,(?!\\d)|(?<!\\d),|,(?=\\d{3})")).map(String::strip)
                .filter(part -> !part.isEmpty()).toList();
        if (said.isEmpty()) {
            throw new RefusedException("The line is empty; write a name.");
        }
        said.subList(1, said.size()).forEach(part -> take(part, part.toLowerCase(Locale.ROOT).replaceAll("\\s+", " ")));
        return new Person(said.get(0), level, weight, height, age.orElse(AgeGroup.ADULTS), strong, joined, "");
    }

    private void take(String part, String plain) {
        if (LEVELS.containsKey(plain)) {
            level = once(level, LEVELS.get(plain), "level", part);
        } else if (AGES.containsKey(plain)) {
            age = once(age, AGES.get(plain), "age", part);
        } else if (SIDES.containsKey(plain)) {
            strong = once(strong, SIDES.get(plain), "strong side", part);
        } else {
            measure(part, plain);
        }
    }

    private void measure(String part, String plain) {
        Matcher day = DAY.matcher(plain);
        Matcher feet = FEET.matcher(plain);
        Matcher number = NUMBER.matcher(plain);
        if (day.matches()) {
            joined = once(joined, day(day, part), "day", part);
        } else if (feet.matches()) {
            int inches = INCHES_PER_FOOT * Integer.parseInt(feet.group(1)) + (feet.group(2) == null ? 0 : Integer.parseInt(feet.group(2)));
            height = once(height, tenth(inches * CENTIMETRES_PER_INCH), "height", part);
        } else if (number.matches()) {
            number(Double.parseDouble(number.group(1).replace(',', '.')), number.group(2) == null ? "" : number.group(2), part);
        } else {
            throw new RefusedException(("“%s” is not understood. Between commas stand a weight such as 62 kg, a height such as 171 cm, beginner, "
                    + "intermediate or experienced, child, left or right, and since when such as 2025-09.").formatted(part));
        }
    }

    private void number(double value, String unit, String part) {
        switch (unit) {
            case "kg", "kgs", "kilo", "kilos" -> weight = once(weight, value, "weight", part);
            case "lb", "lbs" -> weight = once(weight, tenth(value * KILOGRAMS_PER_POUND), "weight", part);
            case "cm" -> height = once(height, value, "height", part);
            case "m" -> height = once(height, tenth(value * 100), "height", part);
            default -> {
                if (weight.isEmpty()) {
                    weight = Optional.of(value);
                } else {
                    height = once(height, value, "height", part);
                }
            }
        }
    }

    private static LocalDate day(Matcher day, String part) {
        try {
            return LocalDate.of(Integer.parseInt(day.group(1)), Integer.parseInt(day.group(2)),
                    day.group(3) == null ? 1 : Integer.parseInt(day.group(3)));
        } catch (DateTimeException e) {
            throw new RefusedException("“%s” is no day; write one such as 2025-09-14.".formatted(part));
        }
    }

    private static <T> Optional<T> once(Optional<T> before, T now, String what, String part) {
        if (before.isPresent()) {
            throw new RefusedException("The %s is said twice; “%s” is one too many.".formatted(what, part));
        }
        return Optional.of(now);
    }

    private static double tenth(double value) {
        return Math.round(value * 10) / 10.0;
    }
}
