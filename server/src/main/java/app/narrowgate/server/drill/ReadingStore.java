package app.narrowgate.server.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.record.Event;
import app.narrowgate.server.map.MapStore;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what people read: each reading once, by the id that its device gave it; nobody reads another's. */
@Service
public class ReadingStore {

    /** Readings that are looked at; older ones say little of today. */
    private static final int MOST = 400;

    private final ReadingMapper mapper;
    private final MapStore maps;

    ReadingStore(ReadingMapper mapper, MapStore maps) {
        this.mapper = mapper;
        this.maps = maps;
    }

    /**
     * Keeps them all, or none.
     *
     * @throws app.narrowgate.server.problem.NotFoundException when there is no such map
     */
    @Transactional
    public void keep(UUID mapId, UUID account, List<ReadingRow> readings) {
        maps.head(mapId);
        readings.forEach(reading -> mapper.insert(mapId, account, null, reading));
    }

    /** One's own, the newest first. */
    List<ReadingRow> own(UUID mapId, UUID account) {
        return mapper.own(mapId, account, MOST);
    }

    /**
     * One's own between two instants, in the order in which they were read.
     *
     * @param person who one is on the roster
     */
    public List<Event.Reading> between(UUID mapId, UUID account, UUID person, Instant from, Instant until) {
        return mapper.between(mapId, account, from, until).stream().map(row -> new Event.Reading(row.id(), row.at(), person, Id.of(row.situation()),
                Id.of(row.reaction()), Id.of(row.chosen()), row.correct(), row.answers(), row.milliseconds())).toList();
    }

    /**
     * Keeps one's own that stood in a file.
     *
     * @return how many count that did not before
     */
    @Transactional
    public int keepOf(UUID importId, UUID mapId, UUID account, List<Event.Reading> readings) {
        return readings.stream().mapToInt(one -> mapper.insert(mapId, account, importId, new ReadingRow(one.id(), one.place().value(), one.reaction().value(),
                one.chosen().value(), one.right(), one.answers(), one.milliseconds(), one.at()))).sum();
    }
}
