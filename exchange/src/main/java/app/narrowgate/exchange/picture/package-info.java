/** Pictures of two bodies as SVG. */
package app.narrowgate.exchange.picture;
