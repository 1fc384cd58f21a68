/**
 * Range checks for every value that comes from outside. Imports nothing of the project. A check is written in the
 * positive form, so a NaN is refused like any other value outside the range. No nulls.
 */
package app.narrowgate.core.check;
