/** Findings about a map, and what changed between two maps or two settings. */
package app.narrowgate.server.review;
