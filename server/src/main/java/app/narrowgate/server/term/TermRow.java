package app.narrowgate.server.term;

import app.narrowgate.core.term.Term;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A term as it is stored. */
record TermRow(UUID id, UUID mapId, int version, String title, LocalDate firstDay, LocalDate lastDay, UUID author, Instant at) {

    Term term() {
        return new Term(title, firstDay, lastDay);
    }
}
