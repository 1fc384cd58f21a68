/**
 * Holes in a map, and what changed between two maps or two settings. May import {@code core.odds}, {@code core.map} and
 * {@code core.check}. No nulls.
 */
package app.narrowgate.core.review;
