/** Weight and base of a place over HTTP: what rests on you, when they tip, and what changes when a post is taken away. */
package app.narrowgate.server.weight;
