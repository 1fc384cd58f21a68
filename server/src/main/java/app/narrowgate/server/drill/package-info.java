/** Drill sheets. */
package app.narrowgate.server.drill;
