package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;

/**
 * A link as it is practised: a start, an answer, a landing.
 *
 * @param seconds thinking, doing and the partner's response
 */
public record PracticeLink(LinkRef ref, Id start, Id landing, double seconds) {
}
