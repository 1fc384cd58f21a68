package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;

/**
 * What a pair is in between two steps of a drill.
 *
 * @param at a situation or an outcome of the map
 * @param bottom which of the two is the bottom player
 */
public record Place(Id at, Role bottom) {
}
