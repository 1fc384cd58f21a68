package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.Tally;
import app.narrowgate.core.record.Truth;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.person.People;
import jakarta.annotation.Nullable;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps events: each once, by the id that its device gave it, and none is ever changed. */
@Service
public class RecordStore {

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
            check(index, event);
            named.addAll(named(event));
        });
        Map<UUID, Optional<Double>> weights = people.weights(named);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        for (Event event : events) {
            if (!weights.keySet().containsAll(named(event))) {
                throw new RefusedException("Somebody of whom something is logged is not on the roster any more; choose others, or leave that away.");
            }
            row(mapId, event, weights, by, now).ifPresent(row -> mapper.insert(mapId, row));
        }
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
    private Optional<EventRow> row(UUID mapId, Event event, Map<UUID, Optional<Double>> weights, UUID by, Instant now) {
        Instant at = earlier(event.at(), now);
        if (event instanceof Event.Round round) {
            return Optional.of(EventRow.of(round, gap(round, weights), at, now, by));
        } else if (event instanceof Event.Repetitions done) {
            return Optional.of(EventRow.of(done, at, now, by));
        } else if (event instanceof Event.GateDecision decided) {
            return Optional.of(EventRow.of(decided, at, now, by));
        } else if (event instanceof Event.Keep kept) {
            return Optional.of(EventRow.of(kept, at, now, by));
        }
        return Optional.of((Event.Void) event).filter(gone -> mapper.mayBeVoided(mapId, gone.event())).map(gone -> EventRow.of(gone, at, now, by));
    }

    private static Set<UUID> named(Event event) {
        if (event instanceof Event.Round round) {
            return round.partner().map(other -> Set.of(round.person(), other)).orElse(Set.of(round.person()));
        } else if (event instanceof Event.Repetitions done) {
            return Set.of(done.person());
        }
        return event instanceof Event.GateDecision decided ? Set.of(decided.person()) : Set.of();
    }

    private static void check(MapIndex index, Event event) {
        if (event instanceof Event.Round round) {
            check(index, round);
        } else if (event instanceof Event.Keep kept) {
            requireReaction(index, kept.reaction());
        } else if (event instanceof Event.Repetitions done) {
            check(index, done);
        } else if (event instanceof Event.GateDecision decided && index.situation(decided.place()).isEmpty()) {
            throw new RefusedException("The map has no place “%s” in which an answer could be shown; choose another.".formatted(decided.place()));
        }
    }

    private static void check(MapIndex index, Event.Repetitions done) {
        Technique technique = index.technique(done.technique())
                .orElseThrow(() -> new RefusedException("The map has no technique “%s”; choose another.".formatted(done.technique())));
        done.reaction().filter(id -> !requireReaction(index, id).technique().equals(technique.id())).ifPresent(id -> {
            throw new RefusedException("“%s” is not an answer by “%s”; choose another, or leave it away.".formatted(id, technique.title()));
        });
    }

    private static void check(MapIndex index, Event.Round round) {
        if (index.situation(round.start()).isEmpty()) {
            throw new RefusedException("The map has no place “%s” in which a round could begin; choose another.".formatted(round.start()));
        }
        round.ending().place().filter(place -> !index.isPlace(place)).ifPresent(place -> {
            throw new RefusedException("The map has no place “%s” in which a round could end; choose another.".formatted(place));
        });
        round.reaction().ifPresent(id -> {
            Reaction reaction = requireReaction(index, id);
            round.response().filter(response -> reaction.response(response).isEmpty()).ifPresent(response -> {
                throw new RefusedException("“%s” is not answered by “%s” on the map; choose another, or leave it away.".formatted(id, response));
            });
        });
    }

    private static Reaction requireReaction(MapIndex index, Id id) {
        return index.reaction(id).orElseThrow(() -> new RefusedException("The map has no answer “%s”; choose another, or leave it away.".formatted(id)));
    }

    /** What the roster says of the pair when it is logged: later they may weigh something else. */
    private static Optional<Double> gap(Event.Round round, Map<UUID, Optional<Double>> weights) {
        return round.gap().or(() -> round.partner().flatMap(weights::get).flatMap(theirs -> weights.get(round.person()).map(own -> theirs - own)))
                .map(gap -> Math.max(Event.Round.GAP.low(), Math.min(Event.Round.GAP.high(), gap)));
    }

    /** A device's clock may be wrong; nothing happened after now. */
    private static Instant earlier(Instant at, Instant now) {
        return at.isAfter(now) ? now : at.truncatedTo(ChronoUnit.MICROS);
    }

    /** Rounds that stand, the newest first. */
    List<EventRow> rounds(UUID mapId, Instant since, int most) {
        return mapper.rounds(mapId, since, most);
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
                rows.stream().filter(row -> row.kind().equals(EventRow.REPETITIONS)).map(RecordStore::done).toList(),
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
        return new Began(row.person(), row.at(), Id.of(row.situation()), side(row), out, Optional.ofNullable(row.reaction()).map(Id::of));
    }

    private static Event.Repetitions done(EventRow row) {
        return new Event.Repetitions(row.id(), row.at(), row.person(), Id.of(row.technique()), Optional.ofNullable(row.reaction()).map(Id::of), side(row),
                Coded.require(Role.class, "role", row.role()), row.many(), Optional.ofNullable(row.clean()), Optional.ofNullable(row.fault()));
    }

    private static Optional<Side> side(EventRow row) {
        return Optional.ofNullable(row.side()).map(code -> Coded.require(Side.class, "side", code));
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
        Map<UUID, Level> levels = people.levels(ended.stream().map(RecordMapper.Ended::person).collect(Collectors.toSet()));
        return ended.stream().map(one -> new Truth.Seen(Id.of(one.situation()), one.gap(), one.person(), Optional.ofNullable(levels.get(one.person())),
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

    /** Another word whenever anything was kept, taken out or erased. */
    public String wholeState(UUID mapId) {
        return mapper.wholeState(mapId);
    }
}
