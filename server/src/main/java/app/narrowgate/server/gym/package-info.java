/**
 * The gym that owns everything: in whose name the server asks the database, and what a gym is called. Nothing of one gym is
 * ever seen in another's name: the mappers' rows are filtered by the database itself.
 */
package app.narrowgate.server.gym;
