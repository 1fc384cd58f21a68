package app.narrowgate.server.door;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Answers of this address may stay on the device of whoever was given them, to be shown where there is no network; whatever
 * does not say so may not. Nothing of anybody's health is in them: what is asked for two people, or for oneself in the room,
 * follows from what hurts them and never stays.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Keepable {

    /**
     * Asked with this, as {@code ?kept=true}, an address that tells more to some leaves out what may not stay on a device.
     */
    String KEPT = "kept";

    /**
     * The header by which an answer says so. It is not for stores in between or the browser's own, which nobody empties at
     * sign-out: for those no answer may be stored, as for every other one.
     */
    String HEADER = "Keepable";

    /** What stands in the header. */
    String ON_DEVICE = "device";

    /** The parameter with which it must be asked so that its answer may stay; empty where it always may. */
    String asked() default "";

    /**
     * True where the answer has a tag and tells of the map alone: the browser's own store may have it too, and asks by its tag
     * whether it still holds.
     */
    boolean tagged() default false;
}
