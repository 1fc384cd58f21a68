package app.narrowgate.server.account;

import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Hashing a password is meant to cost time and memory; only so much of either is lent to it at once, so that whoever is
 * signed in is served while others try their luck.
 */
@Component
class HashingPermits {

    static final int AT_ONCE = 2;
    private static final long PATIENCE_MS = 2_000;

    private final Semaphore permits = new Semaphore(AT_ONCE, true);

    /** What {@code hashing} gives; empty where too many wait already. */
    <T> Optional<T> lend(Supplier<T> hashing) {
        try {
            if (!permits.tryAcquire(PATIENCE_MS, TimeUnit.MILLISECONDS)) {
                return Optional.empty();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
        try {
            return Optional.of(hashing.get());
        } finally {
            permits.release();
        }
    }
}
