package app.narrowgate.core.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.util.Optional;

/**
 * One way an exchange can go.
 *
 * @param response which answer, for {@link Cause#RESPONSE}
 * @param share chance in (0,1] that it goes this way, a reading partner's choice included
 * @param landing where it then is
 */
public record Branch(Cause cause, Optional<LinkRef> response, double share, Id landing) {

    /** What moved the round on. */
    public enum Cause implements Coded {
        /** Nothing was tried; the clock moved on. */
        WAITED,
        /** The clock moved on before it was under way. */
        TOO_SLOW,
        /** It was tried in time and did not get going. */
        STUFFED,
        /** It got going and they answered. */
        RESPONSE
    }
}
