package app.narrowgate.exchange.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.OnMap;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.regex.Pattern;

/** Reads events line by line; what is wrong with a line is told by its field. */
final class EventReader {

    /** How a round is written that ended while they were still held. */
    static final String HELD = "held";

    private static final Pattern UUID_FORM = Pattern.compile("[0-9a-fA-F]{8}(-[0-9a-fA-F]{4}){3}-[0-9a-fA-F]{12}");
    private static final Instant EARLIEST = Instant.parse("1990-01-01T00:00:00Z");
    /** At what time of a day something happened of which only the day is written: in UTC the same day nearly everywhere. */
    private static final LocalTime NOON = LocalTime.NOON;

    private final MapNames names;
    private final Who who;
    private final Instant latest;
    /** How many lines without an id said the same so far. */
    private final Map<String, Integer> alike = new HashMap<>();
    /** Who is meant in the line that is read: asked once, however often it is looked at. */
    private final Map<String, UUID> meant = new HashMap<>();

    EventReader(MapIndex index, Who who, Instant now) {
        names = new MapNames(index);
        this.who = who;
        latest = now.plus(1, ChronoUnit.DAYS);
    }

    /**
     * The event of a line.
     *
     * @throws FieldFault naming what is wrong first
     */
    Event read(Said said) {
        meant.clear();
        Kind kind = coded(said, Field.KIND, Kind.class, "The kind");
        for (Field field : Field.values()) {
            if (said.has(field) && !kind.has(field)) {
                throw new FieldFault(field, "“%s” says nothing of an event of the kind “%s”; leave it away.".formatted(said.name(field), kind.code()));
            }
        }
        UUID unknown = new UUID(0, 0);
        Optional<UUID> id = said.text(Field.ID).map(text -> uuid(Field.ID, text));
        Event event = event(kind, id.orElse(unknown), at(said), said);
        within(kind == Kind.VOID ? Field.VOIDS : Field.KIND, () -> {
            OnMap.require(names.index(), event);
            return event;
        });
        return id.isPresent() ? event : event(kind, made(said, event), event.at(), said);
    }

    /** The id of a line that has none: the same for the same line of the same file, however often it is read. */
    private UUID made(Said said, Event event) {
        StringBuilder line = new StringBuilder();
        Written.of(event, id -> "").forEach((field, value) -> line.append(field).append('=').append(value).append('\n'));
        line.append(said.text(Field.PERSON).map(EventReader::key).orElse("")).append('\n')
                .append(said.text(Field.PARTNER).map(EventReader::key).orElse("")).append('\n');
        int before = alike.merge(line.toString(), 1, Integer::sum);
        return UUID.nameUUIDFromBytes((line.toString() + before).getBytes(StandardCharsets.UTF_8));
    }

    private static String key(String said) {
        return said.toLowerCase(Locale.ROOT);
    }

    private Event event(Kind kind, UUID id, Instant at, Said said) {
        return within(Field.KIND, () -> switch (kind) {
            case ROUND -> round(id, at, said);
            case REPETITIONS -> new Event.Repetitions(id, at, person(said), technique(said, Field.TECHNIQUE), reaction(said, Optional.empty()), side(said),
                    coded(said, Field.ROLE, Role.class, "The role"), required(whole(said, Field.MANY), said, Field.MANY), whole(said, Field.CLEAN),
                    said.text(Field.FAULT));
            case ATTENDANCE -> new Event.Attendance(id, at, person(said));
            case READING -> reading(id, at, said);
            case GATE -> new Event.GateDecision(id, at, person(said), coded(said, Field.FROM, Level.class, "The level"), place(said, Field.PLACE),
                    coded(said, Field.SIDE, Side.class, "The side"), required(said.flag(Field.SHOWN), said, Field.SHOWN),
                    said.text(Field.REASON).orElse(""));
            case KEEP -> new Event.Keep(id, at, required(reaction(said, Optional.empty()), said, Field.REACTION));
            case VOID -> new Event.Void(id, at, uuid(Field.VOIDS, required(said.text(Field.VOIDS), said, Field.VOIDS)));
        });
    }

    private Event.Round round(UUID id, Instant at, Said said) {
        Id start = place(said, Field.START);
        Optional<Id> reaction = reaction(said, Optional.of(start));
        Optional<Id> response = said.text(Field.RESPONSE)
                .map(text -> response(text, required(reaction, said, Field.REACTION)));
        return new Event.Round(id, at, said.text(Field.PERSON).map(text -> somebody(Field.PERSON, text)),
                said.text(Field.PARTNER).map(text -> somebody(Field.PARTNER, text)), start, side(said), ending(said), whole(said, Field.SECONDS), reaction,
                response, said.flag(Field.NOTHING).orElse(false), said.number(Field.GAP));
    }

    private Event.Reading reading(UUID id, Instant at, Said said) {
        Id place = place(said, Field.PLACE);
        return new Event.Reading(id, at, person(said), place, required(reaction(said, Optional.of(place)), said, Field.REACTION),
                technique(said, Field.CHOSEN), required(said.flag(Field.RIGHT), said, Field.RIGHT),
                required(whole(said, Field.ANSWERS), said, Field.ANSWERS), required(whole(said, Field.MILLISECONDS), said, Field.MILLISECONDS));
    }

    private Ending ending(Said said) {
        String ending = required(said.text(Field.ENDING), said, Field.ENDING).toLowerCase(Locale.ROOT);
        Optional<Id> in = said.text(Field.ENDED_IN).map(text -> names.place(Field.ENDED_IN, text));
        if (ending.equals(HELD)) {
            if (in.isPresent()) {
                throw new FieldFault(Field.ENDED_IN, "A round that ended while they were still held ended in no other place; leave the place away.");
            }
            return Ending.STILL_HELD;
        }
        return new Ending(Optional.of(Coded.of(PlaceKind.class, ending).orElseThrow(() -> new FieldFault(Field.ENDING,
                "The ending is “%s”; it must be one of %s, %s.".formatted(ending, Coded.codes(PlaceKind.class), HELD)))), in);
    }

    /** By its id, or by what they do. */
    private Id response(String said, Id reaction) {
        return names.index().reaction(reaction).flatMap(one -> one.responses().stream()
                .filter(response -> response.id().value().equals(said) || response.cue().equalsIgnoreCase(said)).findFirst())
                .orElseThrow(() -> new FieldFault(Field.RESPONSE,
                        "“%s” is not answered by “%s” on the map; write its id, or what they do.".formatted(reaction, said))).id();
    }

    private Id place(Said said, Field field) {
        return names.place(field, required(said.text(field), said, field));
    }

    private Id technique(Said said, Field field) {
        return names.technique(field, required(said.text(field), said, field));
    }

    private Optional<Id> reaction(Said said, Optional<Id> from) {
        return said.text(Field.REACTION).map(text -> names.reaction(Field.REACTION, text, from));
    }

    private UUID person(Said said) {
        return somebody(Field.PERSON, required(said.text(Field.PERSON), said, Field.PERSON));
    }

    private UUID somebody(Field field, String said) {
        return within(field, () -> meant.computeIfAbsent(said, who::called));
    }

    private static Optional<Side> side(Said said) {
        return said.text(Field.SIDE).map(text -> within(Field.SIDE, () -> Coded.require(Side.class, "The side", text.toLowerCase(Locale.ROOT))));
    }

    private static <E extends Enum<E> & Coded> E coded(Said said, Field field, Class<E> type, String name) {
        String code = required(said.text(field), said, field).toLowerCase(Locale.ROOT);
        return within(field, () -> Coded.require(type, name, code));
    }

    private static Optional<Integer> whole(Said said, Field field) {
        return said.number(field).map(number -> {
            if (number != Math.rint(number) || Math.abs(number) > Integer.MAX_VALUE) {
                throw new FieldFault(field, "%s is no whole number.".formatted(number));
            }
            return number.intValue();
        });
    }

    private Instant at(Said said) {
        String text = required(said.text(Field.AT), said, Field.AT);
        Instant at = time(text).orElseThrow(() -> new FieldFault(Field.AT,
                "“%s” is no time; write one such as 2026-09-14T18:30:00Z, or a day such as 2026-09-14.".formatted(text)));
        if (at.isBefore(EARLIEST) || at.isAfter(latest)) {
            throw new FieldFault(Field.AT, "“%s” does not lie between %s and now.".formatted(text, LocalDate.ofInstant(EARLIEST, ZoneOffset.UTC)));
        }
        return at.truncatedTo(ChronoUnit.MICROS);
    }

    /** With an offset, without one (then in UTC), or a day alone; with a blank in the middle as spreadsheets write it. */
    private static Optional<Instant> time(String text) {
        String plain = text.replaceFirst("^(\\d{4}-\\d{2}-\\d{2}) +", "$1T").toUpperCase(Locale.ROOT);
        return parsed(() -> OffsetDateTime.parse(plain).toInstant())
                .or(() -> parsed(() -> LocalDateTime.parse(plain).toInstant(ZoneOffset.UTC)))
                .or(() -> parsed(() -> LocalDate.parse(plain).atTime(NOON).toInstant(ZoneOffset.UTC)));
    }

    private static Optional<Instant> parsed(Supplier<Instant> parse) {
        try {
            return Optional.of(parse.get());
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    private static UUID uuid(Field field, String text) {
        if (!UUID_FORM.matcher(text).matches()) {
            throw new FieldFault(field, "“%s” is no event’s id; leave it away where there is none.".formatted(text));
        }
        return UUID.fromString(text);
    }

    private static <T> T required(Optional<T> value, Said said, Field field) {
        return value.orElseThrow(() -> new FieldFault(field, "“%s” is missing; this event needs it.".formatted(said.name(field))));
    }

    private static <T> T within(Field field, Supplier<T> read) {
        try {
            return read.get();
        } catch (FieldFault e) {
            throw e;
        } catch (RefusedException e) {
            throw new FieldFault(field, e.getMessage());
        }
    }
}
