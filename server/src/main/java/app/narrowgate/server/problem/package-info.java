/** Errors as problem+json that a person can act on. */
package app.narrowgate.server.problem;
