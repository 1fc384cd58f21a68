/** Links by which somebody without a sign-in reads one card. */
package app.narrowgate.server.link;
