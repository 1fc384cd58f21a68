/**
 * The map file, {@code narrowgate-map/1}. A bad file is refused whole with every problem named by its place. No nulls.
 */
package app.narrowgate.exchange.map;
