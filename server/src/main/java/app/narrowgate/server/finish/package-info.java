/** What pins and finishes need, and what stops them, over HTTP. */
package app.narrowgate.server.finish;
