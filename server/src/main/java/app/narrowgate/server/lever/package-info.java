/** Levers over HTTP: where an arm is held, how a frame stands, and which sentences of a map speak of them. */
package app.narrowgate.server.lever;
