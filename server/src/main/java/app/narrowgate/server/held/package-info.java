/** From what is held to the situation one is likely in, over HTTP. */
package app.narrowgate.server.held;
