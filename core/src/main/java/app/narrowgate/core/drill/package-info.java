/**
 * Practice made from a solved map: the graph of what follows what, chains, round patterns and calls that cannot be
 * guessed, look-alikes, solo work, who may do what, and the planner that fills a pair's minutes. May import
 * {@code core.gate}, {@code core.advice}, {@code core.odds}, {@code core.solve}, {@code core.map}, {@code core.trait},
 * {@code core.progress} and {@code core.check}. No nulls.
 */
package app.narrowgate.core.drill;
