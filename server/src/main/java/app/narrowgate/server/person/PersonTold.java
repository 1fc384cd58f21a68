package app.narrowgate.server.person;

import java.util.UUID;

/** Something that is kept about people on the roster beside the roster itself, for the archive of everything about one of them. */
public interface PersonTold {

    /** The name of its file in the archive, without an ending. */
    String file();

    /** What is kept of somebody on the roster, as it is written; an empty list where there is nothing. */
    Object of(UUID person);
}
