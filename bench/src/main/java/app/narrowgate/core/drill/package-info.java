/** Benchmarks of drills. */
package app.narrowgate.core.drill;
