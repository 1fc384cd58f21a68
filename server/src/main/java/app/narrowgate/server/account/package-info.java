/** People who may sign in, and their sessions. */
package app.narrowgate.server.account;
