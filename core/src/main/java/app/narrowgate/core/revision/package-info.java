/** The history of something that is edited: what an undo and a redo are about. Imports nothing of the core. */
package app.narrowgate.core.revision;
