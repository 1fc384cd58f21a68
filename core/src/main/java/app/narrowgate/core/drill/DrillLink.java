package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;

/**
 * One answer of the bottom player together with one answer of the top player to it.
 *
 * @param reaction what the bottom player does
 * @param response what the feeder then gives
 * @param landing where it lands
 * @param next what the pair does from there
 * @param seconds one repetition: setting up, thinking, the reaction, the response
 */
public record DrillLink(Id reaction, Id response, Id landing, NextStep next, double seconds) {
}
