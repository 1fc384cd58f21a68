package app.narrowgate.server.record;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.record.Ending;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.Tally;
import app.narrowgate.core.record.Truth;
import app.narrowgate.core.trait.Level;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.person.People;
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
     * @throws RefusedException where a round has somebody who is not on the roster, or begins or goes on where the map has nothing
     */
    @Transactional
    public void keep(UUID mapId, List<Event> events, UUID by) {
        maps.requireChangeable(mapId);
        MapIndex index = maps.head(mapId).index();
        Set<UUID> named = new HashSet<>();
        events.forEach(event -> {
            if (event instanceof Event.Round round) {
                check(index, round);
                named.add(round.person());
                round.partner().ifPresent(named::add);
            }
        });
        Map<UUID, Optional<Double>> weights = people.weights(named);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        for (Event event : events) {
            if (event instanceof Event.Round round) {
                if (!weights.keySet().containsAll(round.partner().map(other -> Set.of(round.person(), other)).orElse(Set.of(round.person())))) {
                    throw new RefusedException("Somebody in a round is not on the roster any more; choose others, or leave that round away.");
                }
                mapper.insert(mapId, row(round, gap(round, weights), by, now));
            } else if (event instanceof Event.Void gone && mapper.mayBeVoided(mapId, gone.event())) {
                mapper.insert(mapId, new EventRow(gone.id(), EventRow.VOID, earlier(gone.at(), now), now, by, null, null, null, null, null, null, null, null,
                        null, false, null, gone.event()));
            } else if (event instanceof Event.Keep kept) {
                requireReaction(index, kept.reaction());
                mapper.insert(mapId, new EventRow(kept.id(), EventRow.KEEP, earlier(kept.at(), now), now, by, null, null, null, null, null, null, null,
                        kept.reaction().value(), null, false, null, null));
            }
        }
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

    private static EventRow row(Event.Round round, Optional<Double> gap, UUID by, Instant now) {
        return new EventRow(round.id(), EventRow.ROUND, earlier(round.at(), now), now, by, round.person(), round.partner().orElse(null), round.start().value(),
                round.side().map(Coded::code).orElse(null), round.ending().kind().map(Coded::code).orElse(EventRow.HELD),
                round.ending().place().map(Id::value).orElse(null), round.seconds().orElse(null), round.reaction().map(Id::value).orElse(null),
                round.response().map(Id::value).orElse(null), round.nothing(), gap.orElse(null), null);
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
}
