/** Tables of comma-separated values (RFC 4180), as spreadsheets of many countries read and write them. */
package app.narrowgate.exchange.table;
