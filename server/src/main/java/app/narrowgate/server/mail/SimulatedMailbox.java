package app.narrowgate.server.mail;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.springframework.stereotype.Component;

/** Sends nothing: keeps what would be sent for a month, for the owner of the gym to read and hand on. */
@Component
class SimulatedMailbox implements Mail {

    static final Duration KEPT = Duration.ofDays(30);

    private final MailMapper mapper;
    private final Clock clock;

    SimulatedMailbox(MailMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    @Override
    public void send(String address, String subject, String body) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        mapper.throwAway(now.minus(KEPT));
        mapper.insert(now, address, subject, body);
    }

    List<Letter> newest(int most) {
        return mapper.newest(most);
    }
}
