package app.narrowgate.server.config;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * An answer that is given again and again as the same, unchanging object: its bytes are kept with it, as text and
 * compressed.
 */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
public @interface RenderedOnce {

    /** True for an answer that changes seldom and is sent often: as small as it gets, whatever time that takes. */
    boolean small() default false;
}
