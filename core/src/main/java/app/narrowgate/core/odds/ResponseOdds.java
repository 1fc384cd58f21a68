package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;

/**
 * One answer of the top player.
 *
 * @param chance how often he gives it by habit, in [0,1]
 * @param lands the situation or outcome it leads to; for an unanswered one where a stuffed attempt lands
 * @param answered false for a hole in the map
 * @param worth what the landing is worth, in [0,1]
 */
public record ResponseOdds(Id response, double chance, Id lands, boolean answered, double worth) {
}
