/** A class as it runs: steered, followed on other screens by links, and kept as what really happened. */
package app.narrowgate.server.mat;
