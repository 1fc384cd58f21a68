/** The open posture format: two bodies at a place. */
package app.narrowgate.exchange.posture;
