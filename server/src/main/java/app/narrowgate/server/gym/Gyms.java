package app.narrowgate.server.gym;

import app.narrowgate.core.check.Text;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The gyms of the house. */
@Service
public class Gyms {

    private final GymMapper mapper;
    private final Clock clock;

    Gyms(GymMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Every gym there is, the oldest first; asked in the house's name. */
    public List<Gym> all() {
        return GymScope.HOUSE.get(mapper::all);
    }

    /** The gym in whose name this thread asks. */
    public Gym current() {
        return mapper.byId(GymScope.current().gym()).orElseThrow();
    }

    /**
     * A new gym, with nothing in it.
     *
     * @throws app.narrowgate.core.check.RefusedException where the name is no title
     */
    public Gym open(String name) {
        Gym gym = new Gym(UUID.randomUUID(), Text.TITLE.require("The gym’s name", Text.tidy(name).strip()),
                clock.instant().truncatedTo(ChronoUnit.MICROS));
        GymScope.HOUSE.run(() -> mapper.insert(gym));
        return gym;
    }

    /**
     * Names the gym in whose name this thread asks.
     *
     * @throws app.narrowgate.core.check.RefusedException where the name is no title
     */
    public void rename(String name) {
        mapper.rename(GymScope.current().gym(), Text.TITLE.require("The gym’s name", Text.tidy(name).strip()));
    }
}
