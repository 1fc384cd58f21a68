/**
 * What pins and finishes need, and which denials stop them. May import {@code core.map} and {@code core.check}. No
 * nulls.
 */
package app.narrowgate.core.finish;
