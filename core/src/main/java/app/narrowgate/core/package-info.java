/**
 * The rules of the job and all computation.
 *
 * <p>Packages follow the trade's nouns and depend on each other only downwards, from {@code review} and {@code drill}
 * by {@code gate}, {@code round} and {@code advice} to {@code odds}, {@code solve} and {@code map}, and from there to
 * {@code trait}, {@code progress} and {@code check}. The arrows are drawn in {@code ArchitectureTest}. Nothing here
 * knows a framework, a database, JSON or HTTP. No method takes or returns {@code null}; what may be missing is an
 * {@link java.util.Optional}.
 */
package app.narrowgate.core;
