package app.narrowgate.server.account;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Slows down guessing. Every try counts when it begins, whatever comes of it, so that many at once are as many as one after
 * the other; one that was right is taken back. Counted by name, and by the address it comes from, which bounds what one
 * machine can make the server hash.
 */
@Component
class SignInThrottle {

    /** Wrong passwords for a name in a minute. */
    static final int MOST_BY_NAME = 5;
    /** Wrong passwords from a browser that has signed in before; nobody else can use these up. */
    static final int MOST_BY_DEVICE = 10;
    /** Wrong passwords from one address, for whatever names: a gym's whole staff behind one router, none of them awake. */
    static final int MOST_BY_ADDRESS = 30;
    static final Duration WAIT = Duration.ofMinutes(1);
    private static final int MOST_KEYS = 10_000;

    /** Something by which tries are counted. */
    record Key(String text, int most) {

        static Key name(String name) {
            return new Key("name " + name, MOST_BY_NAME);
        }

        /** Of somebody who is in and shows the password once more; what strangers try does not count here. */
        static Key member(UUID account) {
            return new Key("member " + account, MOST_BY_NAME);
        }

        static Key device(String device) {
            return new Key("device " + device, MOST_BY_DEVICE);
        }

        static Key address(String address) {
            return new Key("address " + address, MOST_BY_ADDRESS);
        }
    }

    private final Clock clock;
    private final Map<Key, Deque<Instant>> tries = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Deque<Instant>> eldest) {
            return size() > MOST_KEYS;
        }
    };

    SignInThrottle(Clock clock) {
        this.clock = clock;
    }

    /** Begins a try; false, and nothing counted, where one of the keys must wait. */
    synchronized boolean begin(List<Key> keys) {
        Instant now = clock.instant();
        for (Key key : keys) {
            Deque<Instant> past = tries.computeIfAbsent(key, k -> new ArrayDeque<>());
            while (!past.isEmpty() && !now.isBefore(past.peekFirst().plus(WAIT))) {
                past.removeFirst();
            }
            if (past.size() >= key.most()) {
                return false;
            }
        }
        keys.forEach(key -> tries.get(key).addLast(now));
        return true;
    }

    /** The try was right: it was none. */
    synchronized void right(List<Key> keys) {
        for (Key key : keys) {
            Deque<Instant> past = tries.get(key);
            if (past != null) {
                past.pollLast();
            }
        }
    }
}
