/** What was repeated, by technique, side and role, over days and years, against what the gym asks for; and which side is the weaker one. No nulls. */
package app.narrowgate.core.ledger;
