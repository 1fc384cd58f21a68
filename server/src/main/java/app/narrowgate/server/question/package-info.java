/** "What if they ...?": questions kept until somebody answers them, ordered by what an answer would be worth. */
package app.narrowgate.server.question;
