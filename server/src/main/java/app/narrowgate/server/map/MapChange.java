package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.RetiredIds;

/** A change of a map that makes new ids. */
@FunctionalInterface
public interface MapChange {

    /** The changed map; what is new in it has none of the {@code retired} ids. */
    EscapeMap of(EscapeMap map, RetiredIds retired);
}
