/**
 * The application: HTTP over the core, PostgreSQL behind it. Feature packages repeat the core's nouns; a mapper is used
 * only by its own feature. No nulls except in rows and JSON views, where a missing field is left out.
 */
package app.narrowgate.server;
