package app.narrowgate.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Slows down guessing: after a few wrong passwords for a name, that name must wait. */
@Component
class SignInThrottle {

    static final int FREE_TRIES = 5;
    static final Duration WAIT = Duration.ofMinutes(1);
    private static final int MOST_NAMES = 10_000;

    private record Tries(int wrong, Instant last) {
    }

    private final Clock clock;
    private final Map<String, Tries> tries = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, Tries> eldest) {
            return size() > MOST_NAMES;
        }
    };

    SignInThrottle(Clock clock) {
        this.clock = clock;
    }

    /** True while that name must wait. */
    synchronized boolean mustWait(String name) {
        Tries past = tries.get(name);
        return past != null && past.wrong() >= FREE_TRIES && clock.instant().isBefore(past.last().plus(WAIT));
    }

    synchronized void wrong(String name) {
        Tries past = tries.get(name);
        boolean old = past != null && !clock.instant().isBefore(past.last().plus(WAIT));
        tries.put(name, new Tries(past == null || old ? 1 : past.wrong() + 1, clock.instant()));
    }

    synchronized void right(String name) {
        tries.remove(name);
    }
}
