/**
 * Drills made from the map and its odds. May import {@code core.odds}, {@code core.map} and {@code core.check}. No
 * nulls.
 */
package app.narrowgate.core.drill;
