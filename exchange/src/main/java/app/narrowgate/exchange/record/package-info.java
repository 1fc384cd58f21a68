/** What happened on the mat, as lines of JSON and as a table. */
package app.narrowgate.exchange.record;
