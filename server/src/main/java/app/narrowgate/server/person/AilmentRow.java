package app.narrowgate.server.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.person.Ailment;
import app.narrowgate.core.trait.Injury;
import java.time.LocalDate;
import java.util.Optional;

/** What hurts somebody, in the database. */
record AilmentRow(String injury, LocalDate firstDay, LocalDate lastDay, String avoid) {

    static AilmentRow of(Ailment ailment) {
        return new AilmentRow(ailment.injury().code(), ailment.from().orElse(null), ailment.until().orElse(null), ailment.avoid());
    }

    Ailment ailment() {
        return new Ailment(Coded.of(Injury.class, injury).orElseThrow(), Optional.ofNullable(firstDay), Optional.ofNullable(lastDay), avoid);
    }
}
