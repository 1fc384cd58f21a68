package app.narrowgate.server.event;

import java.util.UUID;
import java.util.function.Consumer;

/** Rings on every node of the house, this one included, when something has changed; what has changed, each looks up. */
public interface Bell {

    /**
     * Something that has changed.
     *
     * @param what a short word: which feature it belongs to
     * @param gym whose it is
     * @param about its id
     */
    record Ring(String what, UUID gym, UUID about) {
    }

    /** Rings once this transaction is stored; not at all where it is taken back. */
    void ring(Ring ring);

    /**
     * From now on {@code heard} is told of every ring of a kind, on a thread of the bell's own; it must not take long.
     *
     * @param missed called when rings may have been missed: whoever follows something looks it up anew
     */
    void hear(String what, Consumer<Ring> heard, Runnable missed);
}
