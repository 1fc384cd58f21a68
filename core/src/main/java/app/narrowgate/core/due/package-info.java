/**
 * What of that which somebody practised is due again, by how much of it is still there and by what forgetting it costs. The memory's law was
 * fitted to cards that are learned at a table; it stands in until a record tells better. No nulls.
 */
package app.narrowgate.core.due;
