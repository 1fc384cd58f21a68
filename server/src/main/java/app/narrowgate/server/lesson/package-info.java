/** Classes: kept, planned for those who are here, paired. Knows the roster, the odds and the drills. */
package app.narrowgate.server.lesson;
