/** Speed of the record. */
package app.narrowgate.core.record;
