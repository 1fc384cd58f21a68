package app.narrowgate.server.person;

import java.time.LocalDate;
import java.util.UUID;

/** What hurts somebody, and whom, in the database. */
record HurtRow(UUID person, String injury, LocalDate firstDay, LocalDate lastDay, String avoid) {

    AilmentRow ailment() {
        return new AilmentRow(injury, firstDay, lastDay, avoid);
    }
}
