/** Measures how long two bodies take to be solved and drawn, and lays all pictures of a map side by side. */
package app.narrowgate.core.picture;
