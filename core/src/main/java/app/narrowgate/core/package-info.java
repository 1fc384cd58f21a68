/**
 * The rules of the job and all computation.
 *
 * <p>Packages follow the trade's nouns and depend on each other only downwards: {@code drill} may use
 * {@code odds} and {@code map}, {@code odds} may use {@code map}, {@code map} uses only {@code check}.
 * Nothing here knows a framework, a database, JSON or HTTP. No method takes or returns {@code null}; what may be
 * missing is an {@link java.util.Optional}.
 */
package app.narrowgate.core;
