/** A map as a plain directed graph for other programs: GraphML and DOT, written by JGraphT. Nothing is read back. */
package app.narrowgate.exchange.graph;
