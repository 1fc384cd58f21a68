/**
 * The calls that a worker of the browser makes of the compiled core. What goes in is read by the rules of {@code
 * exchange.parts}; what comes out is figures in typed arrays, numbered as the map that went in. Nothing is computed here.
 */
package app.narrowgate.browser;
