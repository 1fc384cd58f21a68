package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Text;

/**
 * A shape that a gym keeps to plan by.
 *
 * @param minutes of the class whose shape it was; a longer class has longer parts
 */
public record KeptShape(String title, int minutes, ClassShape shape) {

    public KeptShape {
        Text.TITLE.require("The name of a shape", title);
        ClassShape.MINUTES.require("The length of a class", minutes);
    }

    /** The shape of a class of so many minutes. */
    public ClassShape of(int other) {
        ClassShape.MINUTES.require("The length of a class", other);
        return shape.scaled((double) other / minutes);
    }
}
