package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.OnMap;
import app.narrowgate.core.record.Tally;
import app.narrowgate.core.record.Truth;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.Attended;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.person.People;
import jakarta.annotation.Nullable;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
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
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps events: each once, by the id that its device gave it, and none is ever changed. */
@Service
public class RecordStore implements Attended {

    /** So many events in one statement; each has 27 values, and a statement holds 65,535. */
    private static final int AT_ONCE = 1_000;
    private static final int LOOKED_UP_AT_ONCE = 10_000;

    private final RecordMapper mapper;
    private final MapStore maps;
    private final People people;
    private final Clock clock;

    RecordStore(RecordMapper mapper, MapStore maps, People people, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.people = people;
        this.clock = clock;
    }

    /**
     * Keeps them all, or none; what takes out an event that is not there is left away.
     *
     * @throws app.narrowgate.server.problem.NotFoundException when there is no such map
     * @throws RefusedException where something is logged of somebody who is not on the roster, or of what the map does not have
     */
    @Transactional
    public void keep(UUID mapId, List<Event> events, UUID by) {
        maps.requireChangeable(mapId);
        MapIndex index = maps.head(mapId).index();
        Set<UUID> named = new HashSet<>();
        events.forEach(event -> {
            OnMap.require(index, event);
            named.addAll(named(event));
        });
        Map<UUID, Optional<Double>> weights = people.weights(named);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        for (Event event : events) {
            if (!weights.keySet().containsAll(named(event))) {
                throw new RefusedException("Somebody of whom something is logged is not on the roster any more; choose others, or leave that away.");
            }
        }
        insert(mapId, Optional.empty(), rows(mapId, events, weights, by, now));
    }

    /** Events as they are kept: each once, and none that takes out an event that is neither there nor among them. */
    private List<EventRow> rows(UUID mapId, List<Event> events, Map<UUID, Optional<Double>> weights, UUID by, Instant now) {
        Map<UUID, EventRow> rows = new LinkedHashMap<>();
        for (Event event : events) {
            row(mapId, event, rows, weights, by, now).ifPresent(row -> rows.putIfAbsent(row.id(), row));
        }
        return List.copyOf(rows.values());
    }

    private int insert(UUID mapId, Optional<UUID> importId, List<EventRow> rows) {
        int added = 0;
        for (int from = 0; from < rows.size(); from += AT_ONCE) {
            added += mapper.insert(mapId, importId.orElse(null), rows.subList(from, Math.min(rows.size(), from + AT_ONCE)));
        }
        return added;
    }

    /**
     * Keeps what a file holds of this map, of people on the roster; what is there already is left as it is.
     *
     * @param importId the file, which is kept already
     * @return how many count that did not before
     */
    @Transactional
    int keepOf(UUID importId, UUID mapId, List<Event> events, UUID by) {
        maps.requireChangeable(mapId);
        Set<UUID> named = new HashSet<>();
        events.forEach(event -> named.addAll(named(event)));
        // What takes something out comes after it, wherever it stood.
        List<Event> ordered = events.stream().sorted(Comparator.comparing(event -> event instanceof Event.Void)).toList();
        return insert(mapId, Optional.of(importId), rows(mapId, ordered, people.weights(named), by, clock.instant().truncatedTo(ChronoUnit.MICROS)));
    }

    /** Those of some events that count already. */
    Set<UUID> there(UUID mapId, Collection<UUID> ids) {
        Set<UUID> there = new HashSet<>();
        List<UUID> all = List.copyOf(ids);
        for (int from = 0; from < all.size(); from += LOOKED_UP_AT_ONCE) {
            there.addAll(mapper.there(mapId, all.subList(from, Math.min(all.size(), from + LOOKED_UP_AT_ONCE))));
        }
        return there;
    }

    /** Every event of a map between two instants, in the order in which they happened. */
    List<Event> every(UUID mapId, Instant from, Instant until) {
        return mapper.every(mapId, from, until).stream().map(EventRow::event).toList();
    }

    /** Who came on which day, as far as it was read in. */
    @Override
    public List<Came> came(UUID mapId, Instant from, Instant until) {
        return mapper.attendance(mapId, from, until).stream().map(row -> new Came(row.person(), row.at())).toList();
    }

    /**
     * Asks that whoever takes something out may decide on it: what a coach decided is no slip of the finger at the mat's edge.
     *
     * @throws RefusedException where they may not
     */
    void requireMayTakeOut(UUID mapId, List<Event> events, SignedIn by) {
        for (Event event : events) {
            Optional<String> kind = event instanceof Event.Void gone ? mapper.kind(mapId, gone.event()) : Optional.empty();
            boolean may = kind.map(one -> one.equals(EventRow.GATE) ? by.may(Right.PLAN_CLASSES) : !one.equals(EventRow.KEEP) || by.may(Right.EDIT_MAPS))
                    .orElse(true);
            if (!may) {
                throw new RefusedException("What a coach decided is taken out by somebody who may decide it; ask an instructor.");
            }
        }
    }

    /** As it is kept; nothing of what takes out an event that is not there. */
    private Optional<EventRow> row(UUID mapId, Event event, Map<UUID, EventRow> earlier, Map<UUID, Optional<Double>> weights, UUID by, Instant now) {
        Instant at = earlier(event.at(), now);
        if (event instanceof Event.Round round) {
            return Optional.of(EventRow.of(round, gap(round, weights), at, now, by));
        } else if (event instanceof Event.Repetitions done) {
            return Optional.of(EventRow.of(done, at, now, by));
        } else if (event instanceof Event.GateDecision decided) {
            return Optional.of(EventRow.of(decided, at, now, by));
        } else if (event instanceof Event.Keep kept) {
            return Optional.of(EventRow.of(kept, at, now, by));
        } else if (event instanceof Event.Attendance came) {
            return Optional.of(EventRow.of(came, at, now, by));
        } else if (event instanceof Event.Reading) {
            return Optional.empty();
        }
        return Optional.of((Event.Void) event).filter(gone -> earlier.containsKey(gone.event()) || mapper.mayBeVoided(mapId, gone.event()))
                .map(gone -> EventRow.of(gone, at, now, by));
    }

    private static Set<UUID> named(Event event) {
        if (event instanceof Event.Round round) {
            return Stream.concat(round.person().stream(), round.partner().stream()).collect(Collectors.toSet());
        } else if (event instanceof Event.Repetitions done) {
            return Set.of(done.person());
        } else if (event instanceof Event.Attendance came) {
            return Set.of(came.person());
        }
        return event instanceof Event.GateDecision decided ? Set.of(decided.person()) : Set.of();
    }

    /** What the roster says of the pair when it is logged: later they may weigh something else. */
    private static Optional<Double> gap(Event.Round round, Map<UUID, Optional<Double>> weights) {
        return round.gap().or(() -> round.partner().flatMap(weights::get)
                .flatMap(theirs -> round.person().flatMap(weights::get).map(own -> theirs - own)))
                .map(gap -> Math.max(Event.Round.GAP.low(), Math.min(Event.Round.GAP.high(), gap)));
    }

    /** A device's clock may be wrong; nothing happened after now. */
    private static Instant earlier(Instant at, Instant now) {
        return at.isAfter(now) ? now : at.truncatedTo(ChronoUnit.MICROS);
    }

    /** Rounds, repetitions and decisions on gates that stand, the newest first. */
    List<EventRow> logged(UUID mapId, Instant since, int most) {
        return mapper.logged(mapId, since, most);
    }

    /** Everybody's rounds, or one person's, counted at an instant. */
    Tally tally(UUID mapId, Optional<UUID> person, Instant now) {
        Map<Tally.Kind, Double> times = new HashMap<>();
        mapper.kinds(mapId, person.orElse(null), now, Tally.HALF_LIFE, Tally.STEP).forEach(row -> times.merge(row.kind(), row.times(), Double::sum));
        return new Tally(now, times);
    }

    /**
     * What stands of everybody's rounds and repetitions, or of one person's, in the order in which it happened; and what was decided last on gates.
     *
     * @param until what happened from then on is left away
     */
    public Seen seen(UUID mapId, Optional<UUID> person, Instant until) {
        List<EventRow> rows = mapper.of(mapId, person.orElse(null), until);
        return new Seen(rows.stream().filter(row -> row.kind().equals(EventRow.ROUND)).map(RecordStore::began).toList(),
                rows.stream().filter(row -> row.kind().equals(EventRow.REPETITIONS)).map(row -> (Event.Repetitions) row.event()).toList(),
                mapper.decided(mapId, person.orElse(null), until));
    }

    /** What stands of somebody, or of everybody. */
    public record Seen(List<Began> rounds, List<Event.Repetitions> repetitions, List<Decided> decisions) {
    }

    /**
     * Where a round of somebody began.
     *
     * @param out true where it ended out
     * @param reaction the last answer that got going, where that was noted
     */
    public record Began(UUID person, Instant at, Id start, Optional<Side> side, boolean out, Optional<Id> reaction) {
    }

    /**
     * What was decided last on a gate of somebody.
     *
     * @param level from which they move up
     * @param author who decided; null once they are forgotten
     */
    public record Decided(UUID id, UUID person, String level, String place, String side, boolean shown, String reason, Instant at, @Nullable String author) {
    }

    private static Began began(EventRow row) {
        boolean out = !row.ending().equals(EventRow.HELD) && Ending.isOut(Coded.require(PlaceKind.class, "ending", row.ending()));
        return new Began(row.person(), row.at(), Id.of(row.situation()), row.theSide(), out, Optional.ofNullable(row.reaction()).map(Id::of));
    }

    /** How many rounds began in each place. */
    Map<Id, Integer> begun(UUID mapId, Optional<UUID> person) {
        Map<Id, Integer> begun = new HashMap<>();
        mapper.begun(mapId, person.orElse(null)).forEach(one -> begun.put(Id.of(one.situation()), one.rounds()));
        return begun;
    }

    /** Rounds that ended out or with a tap, those that count the same together. */
    List<Truth.Seen> seen(UUID mapId) {
        List<RecordMapper.Ended> ended = mapper.ended(mapId, Tally.STEP);
        Map<UUID, Level> levels = people.levels(ended.stream().map(RecordMapper.Ended::person).filter(Objects::nonNull).collect(Collectors.toSet()));
        return ended.stream().map(one -> new Truth.Seen(Id.of(one.situation()), one.gap(), Optional.ofNullable(one.person()),
                Optional.ofNullable(one.person()).map(levels::get),
                Ending.isOut(Coded.require(PlaceKind.class, "ending", one.ending())), one.rounds())).toList();
    }

    /** When the first round that stands was. */
    Optional<Instant> since(UUID mapId) {
        return mapper.since(mapId);
    }

    /** Answers of which a coach keeps what the map says, each with the last time they said so. */
    List<RecordMapper.Kept> kept(UUID mapId) {
        return mapper.kept(mapId);
    }

    /** Another word whenever a round was kept, taken out or erased. */
    String state(UUID mapId) {
        return mapper.state(mapId);
    }

    /** Another word whenever anything that happened before an instant was kept, and whenever anything was taken out or erased. */
    public String stateBefore(UUID mapId, Instant until) {
        return mapper.stateBefore(mapId, until);
    }
}
