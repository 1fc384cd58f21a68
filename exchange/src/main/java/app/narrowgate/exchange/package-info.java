/** Open formats in and out. May import {@code core}; nothing here knows HTTP or the database. */
package app.narrowgate.exchange;
