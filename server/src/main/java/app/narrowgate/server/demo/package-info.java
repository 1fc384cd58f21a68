/** Loads the made-up gym into an empty database. */
package app.narrowgate.server.demo;
