/** The links of a map as a table that a spreadsheet opens: one row a response. See {@code docs/formats/links.md}. */
package app.narrowgate.exchange.links;
