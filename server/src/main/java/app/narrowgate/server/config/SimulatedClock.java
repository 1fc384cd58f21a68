package app.narrowgate.server.config;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/**
 * A clock that can be put ahead while the house runs: a stand-in for waiting through a class. It is ahead of another one by the
 * seconds that stand in a file, looked up whenever somebody asks for the time; by none while there is no file.
 */
final class SimulatedClock extends Clock {

    private final Path ahead;
    private final Clock other;

    SimulatedClock(Path ahead, Clock other) {
        this.ahead = ahead;
        this.other = other;
    }

    @Override
    public ZoneId getZone() {
        return other.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new SimulatedClock(ahead, other.withZone(zone));
    }

    @Override
    public Instant instant() {
        return other.instant().plus(ahead());
    }

    private Duration ahead() {
        try {
            return Duration.ofSeconds(Long.parseLong(Files.readString(ahead).strip()));
        } catch (NoSuchFileException none) {
            return Duration.ZERO;
        } catch (IOException e) {
            throw new UncheckedIOException("The simulated clock's file cannot be read", e);
        }
    }
}
