/**
 * Who may do what in a gym: the roles, the rights, and the one table that joins them. The server asks it before it does
 * anything; the client asks the same table before it offers anything.
 */
package app.narrowgate.core.right;
