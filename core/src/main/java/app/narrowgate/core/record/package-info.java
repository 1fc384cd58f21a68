/**
 * What happened on the mat, and what it teaches: events, what is believed of the map's figures, how sure the odds are, whether the map tells
 * the truth.
 */
package app.narrowgate.core.record;
