/** What every Markdown file needs. */
package app.narrowgate.exchange.markdown;
