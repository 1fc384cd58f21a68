/** Drills: the gym's library with its history, what is worth drilling, and the plan of a drill for a pair. */
package app.narrowgate.server.drill;
