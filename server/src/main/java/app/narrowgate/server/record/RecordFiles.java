package app.narrowgate.server.record;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.exchange.record.RecordCsv;
import app.narrowgate.exchange.record.RecordJson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.drill.ReadingStore;
import app.narrowgate.server.lesson.PastLessons;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.problem.NotFoundException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The record as files: taken out, looked at, read in, and taken back. */
@Service
class RecordFiles {

    /** A file to read in. */
    record File(String name, boolean table, String text) {
    }

    /**
     * What is in a file.
     *
     * @param wanted what would be kept and does not count yet
     * @param known how many events count already
     * @param others readings of others, which nobody else keeps
     * @param loose how many take out an event that is nowhere
     */
    record Looked(List<Event> wanted, int known, int others, int loose, List<Roster.Unknown> unknown) {
    }

    private static final LocalDate FIRST = LocalDate.EPOCH;

    private final RecordStore store;
    private final ImportMapper imports;
    private final PastLessons classes;
    private final ReadingStore readings;
    private final People people;
    private final MapStore maps;
    private final Clock clock;

    RecordFiles(RecordStore store, ImportMapper imports, PastLessons classes, ReadingStore readings, People people, MapStore maps, Clock clock) {
        this.store = store;
        this.imports = imports;
        this.classes = classes;
        this.readings = readings;
        this.people = people;
        this.maps = maps;
        this.clock = clock;
    }

    /** Everything as lines of JSON: also what was taken out, and what took it out. Of the readings one's own alone. */
    String lines(UUID mapId, Optional<LocalDate> from, Optional<LocalDate> until, SignedIn by) {
        StoredMap map = maps.head(mapId);
        return RecordJson.write(map.index().map().title(), every(mapId, from, until, by), new Roster(people.everybody())::name);
    }

    /** What counts, as a table. */
    String table(UUID mapId, Optional<LocalDate> from, Optional<LocalDate> until, SignedIn by) {
        maps.head(mapId);
        List<Event> all = every(mapId, from, until, by);
        Set<UUID> gone = new HashSet<>();
        // What was taken out may have been taken out after these days.
        store.every(mapId, Instant.EPOCH, end(Optional.empty())).stream().filter(Event.Void.class::isInstance)
                .forEach(one -> gone.add(((Event.Void) one).event()));
        return RecordCsv.write(all.stream().filter(one -> !(one instanceof Event.Void) && !gone.contains(one.id())).toList(),
                new Roster(people.everybody())::name);
    }

    /** What is kept of oneself, as lines of JSON, without who was on top. */
    String own(UUID mapId, SignedIn by) {
        StoredMap map = maps.head(mapId);
        UUID self = people.of(by.id()).orElseThrow(() -> new NotFoundException(
                "Nobody has said yet which of the people on the roster you are; ask whoever runs the gym."));
        List<Event> all = every(mapId, Optional.empty(), Optional.empty(), by);
        Set<UUID> own = all.stream().filter(event -> person(event).filter(self::equals).isPresent()).map(Event::id).collect(Collectors.toSet());
        return RecordJson.write(map.index().map().title(), all.stream()
                .filter(event -> own.contains(event.id()) || event instanceof Event.Void gone && own.contains(gone.event()))
                .map(event -> event instanceof Event.Round round ? without(round) : event).toList(), new Roster(people.everybody())::name);
    }

    private static Event.Round without(Event.Round round) {
        return new Event.Round(round.id(), round.at(), round.person(), Optional.empty(), round.start(), round.side(), round.ending(), round.seconds(),
                round.reaction(), round.response(), round.nothing(), Optional.empty());
    }

    private List<Event> every(UUID mapId, Optional<LocalDate> from, Optional<LocalDate> until, SignedIn by) {
        Instant first = from.map(day -> day.atStartOfDay().toInstant(ZoneOffset.UTC)).orElse(Instant.EPOCH);
        List<Event> all = new ArrayList<>(store.every(mapId, first, end(until)));
        attendance(mapId, from, until).values().forEach(all::add);
        people.of(by.id()).ifPresent(self -> all.addAll(readings.between(mapId, by.id(), self, first, end(until))));
        all.sort(Comparator.comparing(Event::at));
        return all;
    }

    /** The end of a day; of the day after tomorrow where none is given: no event lies after that. */
    private Instant end(Optional<LocalDate> until) {
        return until.orElse(today().plusDays(1)).plusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC);
    }

    private LocalDate today() {
        return LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    /** Who came to classes of the gym; such an event has the same id whenever it is written. */
    private Map<UUID, Event.Attendance> attendance(UUID mapId, Optional<LocalDate> from, Optional<LocalDate> until) {
        Roster roster = new Roster(people.everybody());
        Map<UUID, Event.Attendance> came = new LinkedHashMap<>();
        classes.came(mapId, from.orElse(FIRST), until.orElse(today()), today()).stream().filter(one -> roster.has(one.person())).forEach(one -> {
            UUID id = UUID.nameUUIDFromBytes("%s at %s".formatted(one.person(), one.lesson()).getBytes(StandardCharsets.UTF_8));
            came.put(id, new Event.Attendance(id, one.at(), one.person()));
        });
        return came;
    }

    /**
     * What reading a file in would add; nothing is kept.
     *
     * @throws app.narrowgate.core.check.ProblemsException with what is wrong with it, by its lines
     */
    Looked look(UUID mapId, File file, SignedIn by) {
        maps.requireChangeable(mapId);
        return looked(mapId, file, new Roster(people.everybody()), by);
    }

    private Looked looked(UUID mapId, File file, Roster roster, SignedIn by) {
        StoredMap map = maps.head(mapId);
        List<Event> all = file.table() ? RecordCsv.read(file.text(), map.index(), roster, clock.instant())
                : RecordJson.read(file.text(), map.index(), roster, clock.instant());
        Map<UUID, Event> events = new LinkedHashMap<>();
        all.forEach(one -> events.putIfAbsent(one.id(), one));
        Optional<UUID> self = people.of(by.id());
        Set<UUID> there = store.there(mapId, events.keySet());
        there.addAll(attendance(mapId, Optional.empty(), Optional.empty()).keySet());
        self.ifPresent(one -> readings.between(mapId, by.id(), one, Instant.EPOCH, end(Optional.empty())).forEach(reading -> there.add(reading.id())));
        Set<UUID> voided = store.there(mapId, events.values().stream().filter(Event.Void.class::isInstance).map(one -> ((Event.Void) one).event()).toList());
        List<Event> wanted = new ArrayList<>();
        int known = 0;
        int others = 0;
        int loose = 0;
        for (Event event : events.values()) {
            if (there.contains(event.id())) {
                known++;
            } else if (event instanceof Event.Reading read && !self.equals(Optional.of(read.person()))) {
                others++;
            } else if (event instanceof Event.Void gone && !voided.contains(gone.event()) && !events.containsKey(gone.event())) {
                loose++;
            } else {
                wanted.add(event);
            }
        }
        return new Looked(wanted, known, others, loose, roster.unknown());
    }

    /**
     * Reads a file in; all of it, or nothing. Sent twice under one id it is read in once.
     *
     * @param add true where those who are on no roster are put on it; else what is said of them is left away, and rounds on top of whom they were
     *     are kept without them
     * @throws app.narrowgate.core.check.ProblemsException with what is wrong with it, by its lines
     */
    @Transactional
    ImportMapper.ImportRow read(UUID mapId, UUID id, File file, boolean add, SignedIn by) {
        maps.requireChangeable(mapId);
        if (imports.insert(mapId, id, by.id(), clock.instant().truncatedTo(ChronoUnit.MICROS), Text.TITLE.require("The file’s name", file.name())) > 0) {
            Looked looked = looked(mapId, file, new Roster(people.everybody()), by);
            if (looked.wanted().stream().anyMatch(Event.GateDecision.class::isInstance) && !by.may(Right.PLAN_CLASSES)) {
                throw new RefusedException("The file holds decisions on gates; it is read in by somebody who may decide on them.");
            }
            List<Event> events = add ? added(looked, by) : known(looked);
            store.requireMayTakeOut(mapId, events, by);
            int kept = store.keepOf(id, mapId, events, by.id()) + readings.keepOf(id, mapId, by.id(),
                    events.stream().filter(Event.Reading.class::isInstance).map(Event.Reading.class::cast).toList());
            List<Instant> times = events.stream().map(Event::at).sorted().toList();
            imports.count(mapId, id, kept, times.isEmpty() ? null : times.get(0), times.isEmpty() ? null : times.get(times.size() - 1));
        }
        return one(mapId, id);
    }

    private List<Event> added(Looked looked, SignedIn by) {
        if (!looked.unknown().isEmpty() && !by.may(Right.EDIT_PEOPLE)) {
            throw new RefusedException("Somebody in the file is not on the roster, and you may not add people; leave theirs away.");
        }
        Map<UUID, UUID> ids = new HashMap<>();
        looked.unknown().forEach(one -> ids.put(one.standIn(), people.add(new Person(one.name(), Optional.empty(), Optional.empty(), Optional.empty(),
                AgeGroup.ADULTS, Optional.empty(), Optional.empty(), ""))));
        return looked.wanted().stream().map(one -> of(one, person -> Optional.of(ids.getOrDefault(person, person)))).flatMap(Optional::stream).toList();
    }

    private static List<Event> known(Looked looked) {
        Set<UUID> unknown = new HashSet<>();
        looked.unknown().forEach(one -> unknown.add(one.standIn()));
        return looked.wanted().stream().map(one -> of(one, person -> Optional.of(person).filter(id -> !unknown.contains(id))))
                .flatMap(Optional::stream).toList();
    }

    /** The event with other people in it; empty where whoever it is about is nobody. */
    private static Optional<Event> of(Event event, Function<UUID, Optional<UUID>> other) {
        Optional<UUID> was = person(event);
        Optional<UUID> person = was.flatMap(other);
        if (was.isPresent() && person.isEmpty()) {
            return Optional.empty();
        }
        if (event instanceof Event.Round round) {
            return Optional.of(new Event.Round(round.id(), round.at(), person, round.partner().flatMap(other), round.start(), round.side(), round.ending(),
                    round.seconds(), round.reaction(), round.response(), round.nothing(), round.gap()));
        } else if (event instanceof Event.Repetitions done) {
            return person.map(one -> new Event.Repetitions(done.id(), done.at(), one, done.technique(), done.reaction(), done.side(), done.role(), done.many(),
                    done.clean(), done.fault()));
        } else if (event instanceof Event.Attendance came) {
            return person.map(one -> new Event.Attendance(came.id(), came.at(), one));
        } else if (event instanceof Event.GateDecision decided) {
            return person.map(one -> new Event.GateDecision(decided.id(), decided.at(), one, decided.from(), decided.place(), decided.side(), decided.shown(),
                    decided.reason()));
        }
        return Optional.of(event);
    }

    private static Optional<UUID> person(Event event) {
        if (event instanceof Event.Round round) {
            return round.person();
        } else if (event instanceof Event.Repetitions done) {
            return Optional.of(done.person());
        } else if (event instanceof Event.Attendance came) {
            return Optional.of(came.person());
        } else if (event instanceof Event.GateDecision decided) {
            return Optional.of(decided.person());
        }
        return event instanceof Event.Reading read ? Optional.of(read.person()) : Optional.empty();
    }

    /** Files that were read in, the newest first. */
    List<ImportMapper.ImportRow> all(UUID mapId) {
        maps.head(mapId);
        return imports.all(mapId);
    }

    /** Takes a file back, or lets it count again. Who was put on the roster with it stays there. */
    @Transactional
    ImportMapper.ImportRow undo(UUID mapId, UUID id, boolean undone) {
        maps.requireChangeable(mapId);
        ImportMapper.ImportRow before = one(mapId, id);
        if (Objects.isNull(before.undoneAt()) == undone) {
            imports.undo(mapId, id, undone ? clock.instant().truncatedTo(ChronoUnit.MICROS) : null);
        }
        return one(mapId, id);
    }

    private ImportMapper.ImportRow one(UUID mapId, UUID id) {
        return imports.one(mapId, id).orElseThrow(() -> new NotFoundException("No such file was read into this map’s record."));
    }
}
