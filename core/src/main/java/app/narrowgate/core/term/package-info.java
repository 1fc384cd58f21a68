/** Weeks of classes: what is taught when, so that most of it is there at the end of the term, and who has seen what. */
package app.narrowgate.core.term;
