package app.narrowgate.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.server.TestServer;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionTemplate;

/** Tries are counted when they begin, by name, by device and by address. */
class SignInThrottleTest {

    private static TestServer server;

    private final AtomicReference<Instant> now = new AtomicReference<>(Instant.parse("2030-01-01T10:00:00Z"));
    private final SignInThrottle throttle = node();
    private final List<SignInThrottle.Key> tamsin = keys("tamsin", "10.0.0.1");

    @BeforeAll
    static void start() {
        server = TestServer.start();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @BeforeEach
    void nobodyHasTried() {
        server.bean(SignInMapper.class).throwAway(Instant.parse("2100-01-01T00:00:00Z"));
    }

    private SignInThrottle node() {
        return new SignInThrottle(server.bean(SignInMapper.class), server.bean(TransactionTemplate.class), clock());
    }

    private Clock clock() {
        InstantSource source = now::get;
        return source.withZone(ZoneOffset.UTC);
    }

    private static List<SignInThrottle.Key> keys(String name, String address) {
        return List.of(SignInThrottle.Key.address(address), SignInThrottle.Key.name(name));
    }

    @Test
    void ofManyAtOnceOnlySoManyGetThrough() {
        long through = IntStream.range(0, 40).parallel().filter(i -> throttle.begin(tamsin)).count();
        assertThat(through).isEqualTo(SignInThrottle.MOST_BY_NAME);
    }

    @Test
    void everyNodeCountsInTheSamePlace() {
        SignInThrottle other = node();
        long through = IntStream.range(0, 40).parallel().filter(i -> (i % 2 == 0 ? throttle : other).begin(tamsin)).count();
        assertThat(through).isEqualTo(SignInThrottle.MOST_BY_NAME);
        other.right(tamsin);
        assertThat(throttle.begin(tamsin)).as("one of them was right").isTrue();
    }

    @Test
    void neitherANameNorAnAddressIsKept() throws SQLException {
        throttle.begin(tamsin);
        try (Connection behind = server.behind(); Statement statement = behind.createStatement();
                ResultSet rows = statement.executeQuery("select string_agg(t::text, ' ') from sign_in_try t")) {
            rows.next();
            assertThat(rows.getString(1)).doesNotContain("tamsin").doesNotContain("10.0.0.1");
        }
    }

    @Test
    void aMinuteLaterItGoesOn() {
        IntStream.range(0, 10).forEach(i -> throttle.begin(tamsin));
        now.set(now.get().plus(SignInThrottle.WAIT).minusMillis(1));
        assertThat(throttle.begin(tamsin)).isFalse();
        now.set(now.get().plusMillis(1));
        assertThat(throttle.begin(tamsin)).isTrue();
    }

    @Test
    void aClockThatIsSetBackMakesNobodyWaitForIt() {
        IntStream.range(0, 10).forEach(i -> throttle.begin(tamsin));
        now.set(now.get().minusSeconds(1));
        assertThat(throttle.begin(tamsin)).as("another node's clock").isFalse();
        now.set(now.get().minus(Duration.ofHours(1)));
        assertThat(throttle.begin(tamsin)).isTrue();
    }

    @Test
    void aRightOneIsNoTry() {
        for (int i = 0; i < 50; i++) {
            assertThat(throttle.begin(tamsin)).isTrue();
            throttle.right(tamsin);
        }
    }

    @Test
    void aStrangerElsewhereDoesNotMakeAKnownBrowserWait() {
        IntStream.range(0, 20).forEach(i -> throttle.begin(keys("tamsin", "10.0.0.9")));
        assertThat(throttle.begin(tamsin)).as("by name alone").isFalse();
        assertThat(throttle.begin(List.of(SignInThrottle.Key.address("10.0.0.1"), SignInThrottle.Key.device("hers")))).isTrue();
    }

    @Test
    void oneAddressCannotGoThroughAllNames() {
        long through = IntStream.range(0, 500).filter(i -> throttle.begin(keys("name-" + i, "10.0.0.9"))).count();
        assertThat(through).isEqualTo(SignInThrottle.MOST_BY_ADDRESS);
        assertThat(throttle.begin(keys("name-1", "10.0.0.2"))).isTrue();
    }
}
