/** Classes as events of a calendar (RFC 5545). */
package app.narrowgate.exchange.calendar;
