/** Answers that a browser keeps as a file. */
package app.narrowgate.server.download;
