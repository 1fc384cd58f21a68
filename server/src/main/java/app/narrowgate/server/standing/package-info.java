/** Where everybody stands: what is due, the gates for moving up, the ledger; and what a class is asked for by it. No nulls, but in rows and views. */
package app.narrowgate.server.standing;
