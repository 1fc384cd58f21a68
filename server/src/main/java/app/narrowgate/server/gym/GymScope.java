package app.narrowgate.server.gym;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;

/**
 * In whose name the server asks the database on this thread: a gym's, the whole house's, or nobody's. In nobody's name it sees
 * no row that belongs to a gym.
 *
 * @param gym the gym; null in nobody's name and in the house's
 * @param house true for what is done for all gyms, such as looking up who signs in
 * @param onlyShared true in the name of somebody who sees only the maps that are shared with students
 */
public record GymScope(UUID gym, boolean house, boolean onlyShared) {

    /** Sees nothing. */
    public static final GymScope NOBODY = new GymScope(null, false, false);
    /** Sees every gym: for signing in, for what runs at the start, and for nothing that a request asks for. */
    public static final GymScope HOUSE = new GymScope(null, true, false);

    private static final ThreadLocal<GymScope> CURRENT = new ThreadLocal<>();

    /** In the name of a gym. */
    public static GymScope of(UUID gym) {
        return new GymScope(gym, false, false);
    }

    /** The same, but of the maps only those that are shared with students. */
    public GymScope ofSharedMaps() {
        return new GymScope(gym, house, true);
    }

    /** In whose name this thread asks. */
    public static GymScope current() {
        return Optional.ofNullable(CURRENT.get()).orElse(NOBODY);
    }

    /** The time in which a thread asks in a name; closed, it asks in the name it asked in before. */
    public interface Entered extends AutoCloseable {

        @Override
        void close();
    }

    /** From now on this thread asks in this name, until what comes of it is closed. */
    public Entered enter() {
        GymScope before = CURRENT.get();
        CURRENT.set(this);
        return () -> {
            if (before == null) {
                CURRENT.remove();
            } else {
                CURRENT.set(before);
            }
        };
    }

    /** What {@code work} gives in this name. */
    public <T> T get(Supplier<T> work) {
        try (Entered entered = enter()) {
            return work.get();
        }
    }

    /** Does {@code work} in this name. */
    public void run(Runnable work) {
        get(() -> {
            work.run();
            return null;
        });
    }

    /** {@code work} as another thread does it: in the name in which this one asks now. */
    public static Runnable carried(Runnable work) {
        GymScope here = current();
        return () -> here.run(work);
    }
}
