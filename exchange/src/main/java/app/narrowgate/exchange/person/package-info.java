/** A gym's roster as a table. What hurts somebody never stands in it. */
package app.narrowgate.exchange.person;
