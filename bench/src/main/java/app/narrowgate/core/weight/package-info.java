/** What weighing costs. */
package app.narrowgate.core.weight;
