/**
 * What pins and finishes need, how likely they close, and which denials stop them. May import {@code core.odds},
 * {@code core.map} and {@code core.check}. No nulls.
 */
package app.narrowgate.core.finish;
