/** What the compiler for browsers is told; nothing of it runs in one. */
package app.narrowgate.browser.build;
