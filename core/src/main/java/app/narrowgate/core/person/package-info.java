/** People who train: what a gym writes down about each, and what two of them make of a matchup. No nulls. */
package app.narrowgate.core.person;
