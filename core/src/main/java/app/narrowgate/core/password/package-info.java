/** Which passwords are good enough to close a door with. */
package app.narrowgate.core.password;
