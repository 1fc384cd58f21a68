/** Benchmarks of the odds; in the solver's own package so that they can reach the compiled game. */
package app.narrowgate.core.odds;
