/**
 * Whole rounds on a solved map: rolled, told, flowing exchange by exchange. May import {@code core.odds},
 * {@code core.map} and what lies below them. No nulls.
 */
package app.narrowgate.core.round;
