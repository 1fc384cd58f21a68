/** The record: rounds that are logged at the mat's edge, and what they say of a map's odds. */
package app.narrowgate.server.record;
