package app.narrowgate.server.account;

import java.util.UUID;

/** Something that is kept about members, for the archive of everything about one of them; each feature that keeps some has one. */
public interface Kept {

    /** The name of its file in the archive, without an ending. */
    String file();

    /** What is kept of a member of the gym in whose name this is asked, as it is written; empty lists where there is nothing. */
    Object of(UUID account);
}
