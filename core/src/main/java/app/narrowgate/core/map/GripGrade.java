package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;

/**
 * How well a house thinks that a grip holds, against its other grips; a matter of the gym, not of measurement.
 *
 * @param grade twice as much holds twice as well, within {@link #GRADE}
 */
public record GripGrade(String title, double grade) {

    /** The grades that there are. */
    public static final Range GRADE = new Range(1, 10, "");
    /** How many grips a ladder has at most. */
    public static final int MOST = 8;

    /** @throws RefusedException when the title is unfit or the grade lies outside */
    public GripGrade {
        Text.TITLE.require("A grip’s title", title);
        GRADE.require("The grade of “" + title + "”", grade);
    }
}
