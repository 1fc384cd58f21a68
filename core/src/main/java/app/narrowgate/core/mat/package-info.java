/** A class as it runs: by the clock, steered by whoever teaches, and what really happened in it. */
package app.narrowgate.core.mat;
