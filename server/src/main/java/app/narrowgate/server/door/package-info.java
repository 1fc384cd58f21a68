/** Which right each address of the server needs. What says nothing opens to nobody. */
package app.narrowgate.server.door;
