package app.narrowgate.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;

class SessionEndTest {

    private static final Instant BEGUN = Instant.parse("2026-01-05T12:00:00Z");

    private static SessionEnd at(Duration after) {
        return new SessionEnd(Clock.fixed(BEGUN.plus(after), ZoneOffset.UTC));
    }

    /** However often it was used meanwhile: only its beginning counts. */
    @Test
    void aSessionIsOverAfterAWeek() {
        assertThat(at(Duration.ofDays(7).minusSeconds(1)).isOver(BEGUN)).isFalse();
        assertThat(at(Duration.ofDays(7)).isOver(BEGUN)).isTrue();
    }
}
