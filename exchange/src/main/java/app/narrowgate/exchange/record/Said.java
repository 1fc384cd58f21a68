package app.narrowgate.exchange.record;

import java.util.Optional;

/** A line as it was said: JSON or a row of a table. What is empty is not said. */
interface Said {

    /** A text. */
    Optional<String> text(Field field);

    /** A number, which may be anything but infinite. */
    Optional<Double> number(Field field);

    /** True or false. */
    Optional<Boolean> flag(Field field);

    boolean has(Field field);

    /** As the field is called there. */
    String name(Field field);
}
