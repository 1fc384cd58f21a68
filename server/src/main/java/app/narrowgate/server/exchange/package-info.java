/** Open formats in and out over HTTP: what an import would change, the import itself, exports, the published schema. */
package app.narrowgate.server.exchange;
