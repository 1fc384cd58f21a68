/** What is remembered of something practised, by how often, how well and how long ago. */
package app.narrowgate.core.memory;
