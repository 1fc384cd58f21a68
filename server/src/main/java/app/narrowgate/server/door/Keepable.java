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

    /** The parameter with which it must be asked so that its answer may stay; empty where it always may. */
    String asked() default "";
}
