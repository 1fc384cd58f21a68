package app.narrowgate.server.mail;

/** Sends letters. What ships is {@link SimulatedMailbox}, a stand-in for a mail server that sends nothing. */
public interface Mail {

    /** Sends a letter in plain text; it is only on its way if the transaction around it commits. */
    void send(String address, String subject, String body);
}
