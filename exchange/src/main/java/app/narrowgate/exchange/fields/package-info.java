/**
 * Values of the open formats read strictly, with every fault named by its place, whatever the text was taken apart with.
 * Compiled for browsers too: nothing here knows a parser.
 */
package app.narrowgate.exchange.fields;
