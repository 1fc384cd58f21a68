package app.narrowgate.exchange.record;

import app.narrowgate.core.check.RefusedException;
import java.util.UUID;

/** Who is meant in a file. */
public interface Who {

    /**
     * Whoever is called so.
     *
     * @param said a name, or an id
     * @throws RefusedException where that may be one of several
     */
    UUID called(String said);
}
