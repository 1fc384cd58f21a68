package app.narrowgate.server.drill;

import app.narrowgate.server.map.MapStore;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what people read: each reading once, by the id that its device gave it; nobody reads another's. */
@Service
class ReadingStore {

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
        readings.forEach(reading -> mapper.insert(mapId, account, reading));
    }

    /** One's own, the newest first. */
    List<ReadingRow> own(UUID mapId, UUID account) {
        return mapper.own(mapId, account, MOST);
    }
}
