/**
 * How likely the taught answers get a student out. A map and a setting are compiled once into a
 * {@link app.narrowgate.core.solve.Game} and solved once into a {@link app.narrowgate.core.odds.SolvedMap}, which every
 * further question asks. May import {@code core.solve}, {@code core.map} and {@code core.check}. No nulls.
 */
package app.narrowgate.core.odds;
