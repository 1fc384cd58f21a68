/** How long work tells how far it is and is stopped. Imports nothing of the core. No nulls. */
package app.narrowgate.core.progress;
