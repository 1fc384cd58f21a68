/** What the server tells of itself to whoever looks after it, on a port of its own that nobody reaches from elsewhere. */
package app.narrowgate.server.metrics;
