/**
 * Games and chains on flat arrays: no ids, no map, nothing of the trade. Whoever compiles something into a
 * {@link app.narrowgate.core.solve.Game} finds its values here, with bounds, choices and the chain of a round. Imports
 * nothing of the core but {@code core.check}. No nulls. Arrays are shared, not copied; only who made one may write to
 * it.
 */
package app.narrowgate.core.solve;
