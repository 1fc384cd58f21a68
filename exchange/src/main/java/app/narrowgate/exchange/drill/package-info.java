/** Drills as files: {@code narrowgate-drill/1}, and Markdown to print and to pass on. */
package app.narrowgate.exchange.drill;
