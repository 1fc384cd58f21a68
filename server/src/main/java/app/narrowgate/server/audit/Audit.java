package app.narrowgate.server.audit;

import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is noted of a gym, in whose name this is asked. */
@Service
public class Audit {

    /** Stands for whoever runs the house, who is nobody of a gym. */
    public static final UUID HOUSE = new UUID(0, 0);

    private static final Duration AGAIN = Duration.ofHours(1);

    private final AuditMapper mapper;
    private final Clock clock;

    Audit(AuditMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /** Notes what somebody did; within a transaction it is noted if and only if the rest of it is done. */
    public void note(UUID actor, Deed deed, String detail) {
        note(actor, deed, null, detail);
    }

    /** The same, of what they did to another person. */
    public void note(UUID actor, Deed deed, UUID subject, String detail) {
        mapper.insert(clock.instant().truncatedTo(ChronoUnit.MICROS), actor, deed.code(), subject, detail);
    }

    /** The same, for what is done again and again while somebody looks at a page: once an hour. */
    public void noteOnce(UUID actor, Deed deed, UUID subject, String detail) {
        if (!mapper.isNoted(actor, deed.code(), subject, clock.instant().minus(AGAIN))) {
            note(actor, deed, subject, detail);
        }
    }

    /** What a member did and what was done to them, the oldest first. Cost: looks through what was noted of their gym. */
    public List<Told> about(UUID account) {
        return mapper.about(account);
    }

    /** What was noted before the one with this number, the newest first, at most so many. */
    List<AuditRow> before(long id, int most) {
        return mapper.before(id, most);
    }
}
