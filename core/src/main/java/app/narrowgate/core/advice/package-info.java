/**
 * What a solved map advises: which rate tells most, what a late start costs, what each stance is worth, where to rest.
 * May import {@code core.odds}, {@code core.map} and what lies below them. No nulls.
 */
package app.narrowgate.core.advice;
