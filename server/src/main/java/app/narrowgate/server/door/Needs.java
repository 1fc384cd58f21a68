package app.narrowgate.server.door;

import app.narrowgate.core.right.Right;
import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** The right that somebody must have to ask this; on a class for all of its addresses that say nothing else. */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target({ElementType.METHOD, ElementType.TYPE})
public @interface Needs {

    /** The right. */
    Right value();
}
