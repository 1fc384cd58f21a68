/**
 * How likely the taught answers get a student out. A map and a setting are compiled once into the flat arrays of a
 * {@link app.narrowgate.core.odds.Game}; everything is solved on those. May import {@code core.map} and
 * {@code core.check}. No nulls.
 */
package app.narrowgate.core.odds;
