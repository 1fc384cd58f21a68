/** JSON read strictly, with every fault named by its place; what the formats are read with. */
package app.narrowgate.exchange.json;
