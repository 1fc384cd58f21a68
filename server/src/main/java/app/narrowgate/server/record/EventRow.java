package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * An event as it is stored; what it does not have is null.
 *
 * @param author who logged it; null once they are forgotten
 * @param person of a round null once they are forgotten
 * @param situation where a round began
 * @param reaction the last answer that got going in a round; or the one of which is kept what the map says
 * @param ending the kind of place in which it ended, or {@link #HELD}
 * @param endedIn the place in which it ended
 * @param voids the event that is taken out
 * @param technique what was repeated
 * @param role of whoever repeated it
 * @param many how many times
 * @param clean how many of them came clean
 * @param fault the fault that was seen most
 * @param level the level from which somebody moves up, of a decision on a gate; its place is {@code situation}
 * @param shown what was decided
 * @param reason why
 */
record EventRow(UUID id, String kind, Instant at, Instant keptAt, UUID author, UUID person, UUID partner, String situation, String side, String ending,
        String endedIn, Integer seconds, String reaction, String response, boolean nothing, Double gap, UUID voids, String technique, String role, Integer many,
        Integer clean, String fault, String level, Boolean shown, String reason) {

    static final String ROUND = "round";
    static final String VOID = "void";
    static final String KEEP = "keep";
    static final String REPETITIONS = "repetitions";
    static final String GATE = "gate";
    static final String ATTENDANCE = "attendance";
    /** Still held when the time was up. */
    static final String HELD = "held";

    static EventRow of(Event.Round round, Optional<Double> gap, Instant at, Instant keptAt, UUID author) {
        return new EventRow(round.id(), ROUND, at, keptAt, author, round.person().orElse(null), round.partner().orElse(null),
                round.start().value(), code(round.side()), round.ending().kind().map(Coded::code).orElse(HELD), value(round.ending().place()),
                round.seconds().orElse(null), value(round.reaction()), value(round.response()), round.nothing(), gap.orElse(null), null, null, null, null,
                null, null, null, null, null);
    }

    static EventRow of(Event.Void gone, Instant at, Instant keptAt, UUID author) {
        return new EventRow(gone.id(), VOID, at, keptAt, author, null, null, null, null, null, null, null, null, null, false, null, gone.event(), null, null,
                null, null, null, null, null, null);
    }

    static EventRow of(Event.Keep kept, Instant at, Instant keptAt, UUID author) {
        return new EventRow(kept.id(), KEEP, at, keptAt, author, null, null, null, null, null, null, null, kept.reaction().value(), null, false, null, null,
                null, null, null, null, null, null, null, null);
    }

    static EventRow of(Event.Repetitions done, Instant at, Instant keptAt, UUID author) {
        return new EventRow(done.id(), REPETITIONS, at, keptAt, author, done.person(), null, null, code(done.side()), null, null, null,
                value(done.reaction()), null, false, null, null, done.technique().value(), done.role().code(), done.many(), done.clean().orElse(null),
                done.fault().orElse(null), null, null, null);
    }

    static EventRow of(Event.GateDecision decided, Instant at, Instant keptAt, UUID author) {
        return new EventRow(decided.id(), GATE, at, keptAt, author, decided.person(), null, decided.place().value(), decided.side().code(), null, null, null,
                null, null, false, null, null, null, null, null, null, null, decided.from().code(), decided.shown(), decided.reason());
    }

    static EventRow of(Event.Attendance came, Instant at, Instant keptAt, UUID author) {
        return new EventRow(came.id(), ATTENDANCE, at, keptAt, author, came.person(), null, null, null, null, null, null, null, null, false, null, null, null,
                null, null, null, null, null, null, null);
    }

    /** What it says. */
    Event event() {
        return switch (kind) {
            case ROUND -> new Event.Round(id, at, Optional.ofNullable(person), Optional.ofNullable(partner), Id.of(situation), theSide(), endsIn(),
                    Optional.ofNullable(seconds), id(reaction), id(response), nothing, Optional.ofNullable(gap));
            case REPETITIONS -> new Event.Repetitions(id, at, person, Id.of(technique), id(reaction), theSide(), Coded.require(Role.class, "role", role), many,
                    Optional.ofNullable(clean), Optional.ofNullable(fault));
            case GATE -> new Event.GateDecision(id, at, person, Coded.require(Level.class, "level", level), Id.of(situation), theSide().orElseThrow(), shown,
                    reason);
            case ATTENDANCE -> new Event.Attendance(id, at, person);
            case KEEP -> new Event.Keep(id, at, Id.of(reaction));
            default -> new Event.Void(id, at, voids);
        };
    }

    Optional<Side> theSide() {
        return Optional.ofNullable(side).map(code -> Coded.require(Side.class, "side", code));
    }

    private Ending endsIn() {
        return ending.equals(HELD) ? Ending.STILL_HELD : new Ending(Optional.of(Coded.require(PlaceKind.class, "ending", ending)), id(endedIn));
    }

    private static Optional<Id> id(String value) {
        return Optional.ofNullable(value).map(Id::of);
    }

    private static String code(Optional<? extends Coded> what) {
        return what.map(Coded::code).orElse(null);
    }

    private static String value(Optional<Id> id) {
        return id.map(Id::value).orElse(null);
    }
}
