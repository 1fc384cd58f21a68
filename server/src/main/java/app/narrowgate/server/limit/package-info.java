/**
 * What one person, one address or everybody together may ask of the server at once, and how often somebody came to the
 * end of it. Knows no feature; each keeps its own limit and tells it here.
 */
package app.narrowgate.server.limit;
