/** The roster: who trains here, what hurts them, and what two of them make of a matchup. */
package app.narrowgate.server.person;
