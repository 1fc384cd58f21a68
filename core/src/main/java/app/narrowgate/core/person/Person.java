package app.narrowgate.core.person;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Somebody who trains, as far as it is known. What hurts them is kept apart ({@link Ailment}), since fewer may read it.
 *
 * @param weight in kilograms
 * @param height in centimetres
 * @param strong the side on which they play by choice
 * @param joined the day on which they began here
 * @param notes for whoever teaches them
 */
public record Person(String name, Optional<Level> level, Optional<Double> weight, Optional<Double> height, AgeGroup age,
        Optional<Side> strong, Optional<LocalDate> joined, String notes) {

    /** What people weigh, from small children to the heaviest that train. */
    public static final Range WEIGHT = new Range(10, 250, "kg");
    /** How tall people are. */
    public static final Range HEIGHT = new Range(70, 240, "cm");
    /** A note. */
    public static final Text NOTES = new Text(0, 1000);

    private static final LocalDate EARLIEST = LocalDate.of(1950, 1, 1);
    private static final LocalDate LATEST = LocalDate.of(2200, 1, 1);

    public Person {
        Text.TITLE.require("The name", name);
        weight.ifPresent(kilograms -> WEIGHT.require("The weight", kilograms));
        height.ifPresent(centimetres -> HEIGHT.require("The height", centimetres));
        joined.ifPresent(day -> Days.require("The day they joined", day, EARLIEST, LATEST));
        NOTES.require("The note", notes);
    }

    /** Somebody of whom only the name is known; grown up, as most are. */
    public static Person named(String name) {
        return new Person(name, Optional.empty(), Optional.empty(), Optional.empty(), AgeGroup.ADULTS, Optional.empty(), Optional.empty(), "");
    }
}
