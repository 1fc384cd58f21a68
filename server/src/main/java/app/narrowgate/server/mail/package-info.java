/** What would be sent by mail. No house needs a mail server: this one keeps letters where the owner reads them. */
package app.narrowgate.server.mail;
