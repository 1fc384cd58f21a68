/** Pictures of the places of a map: two bodies as plain paths, worked out once and kept. */
package app.narrowgate.server.picture;
