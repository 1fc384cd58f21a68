/** Classes in the open format {@code narrowgate-class/1}, and as Markdown. */
package app.narrowgate.exchange.lesson;
