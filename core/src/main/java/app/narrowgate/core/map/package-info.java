/**
 * The escape map: situations, the bottom player's reactions, the top player's responses, where each leads, and the
 * techniques that are taught. Immutable values only. May import {@code core.check}, nothing else of the project. No
 * nulls; what may be missing is an {@link java.util.Optional} or an empty collection.
 */
package app.narrowgate.core.map;
