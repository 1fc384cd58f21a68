/**
 * The gates for moving up: the places in which somebody of a level shows an answer, both sides, before they move up. What is seen is weighed; the coach
 * decides. No nulls.
 */
package app.narrowgate.core.movingup;
