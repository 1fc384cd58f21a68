/**
 * From what is held to the situation one is likely in. May import {@code core.map} and {@code core.check}. No nulls.
 */
package app.narrowgate.core.held;
