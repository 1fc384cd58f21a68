package app.narrowgate.server.account;

import app.narrowgate.server.door.Secrets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Slows down guessing. Every try counts when it begins, whatever comes of it, so that many at once are as many as one after
 * the other; one that was right is taken back. Counted by name, and by the address it comes from, which bounds what one
 * machine can make the server hash. Every node of a house counts in the same place.
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

        /** What is kept of it for the minute: neither a name nor an address. */
        String hash() {
            return Secrets.hash(text);
        }
    }

    private final SignInMapper mapper;
    private final TransactionTemplate transactions;
    private final Clock clock;

    SignInThrottle(SignInMapper mapper, TransactionTemplate transactions, Clock clock) {
        this.mapper = mapper;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** Begins a try; false, and nothing counted, where one of the keys must wait. */
    boolean begin(List<Key> keys) {
        Instant now = clock.instant().truncatedTo(ChronoUnit.MICROS);
        Instant since = now.minus(WAIT);
        // Another node's clock may be a little ahead; what is later than that was counted before the clock was set back.
        Instant until = now.plus(WAIT);
        return Boolean.TRUE.equals(transactions.execute(status -> {
            mapper.throwAway(since);
            // In one order for everybody, so that no two wait for each other.
            keys.stream().map(Key::hash).sorted().forEach(mapper::lock);
            if (keys.stream().anyMatch(key -> mapper.count(key.hash(), since, until) >= key.most())) {
                return false;
            }
            keys.forEach(key -> mapper.insert(key.hash(), now));
            return true;
        }));
    }

    /** The try was right: it was none. */
    void right(List<Key> keys) {
        transactions.executeWithoutResult(status -> keys.stream().map(Key::hash).sorted().forEach(mapper::takeBack));
    }
}
