/** Wiring only: security, clock, static files, the API description. */
package app.narrowgate.server.config;
