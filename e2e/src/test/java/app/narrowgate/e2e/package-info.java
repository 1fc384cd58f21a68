/** Stories of an instructor, told through a real browser on the packaged application. */
package app.narrowgate.e2e;
