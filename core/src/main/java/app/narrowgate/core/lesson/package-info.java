/**
 * A class from its minutes to its pairs: what there is to practise for those who are here, what it gains each of them,
 * the minutes that gain most within the shape of a class, what was left out, and who works with whom. May import {@code core.drill},
 * {@code core.person} and what lies below them. No nulls.
 */
package app.narrowgate.core.lesson;
