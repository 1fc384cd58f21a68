/** What the compiled core is held against. */
package app.narrowgate.browser;
