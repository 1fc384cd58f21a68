/**
 * Long computations over HTTP: asked for, watched, stopped. The registry knows who waits for what, the worker computes,
 * the controller speaks HTTP. May use every feature that computes; none of them knows it.
 */
package app.narrowgate.server.run;
