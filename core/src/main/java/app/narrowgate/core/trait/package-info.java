/**
 * What people bring onto the mat, whatever the map: level, age group, injuries, sides. Imports only {@code core.check}.
 * No nulls.
 */
package app.narrowgate.core.trait;
