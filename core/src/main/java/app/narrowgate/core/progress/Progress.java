package app.narrowgate.core.progress;

import java.util.function.BooleanSupplier;

/** Hears how far a long computation is, and may stop it. */
@FunctionalInterface
public interface Progress {

    /** Hears nothing, stops nothing. */
    Progress NONE = (done, of) -> { };

    /**
     * Called between steps.
     *
     * @param of how many steps there are in all; 0 where nobody knows beforehand
     * @throws StoppedException to stop
     */
    void at(int done, int of);

    /** Stops as soon as {@code stop} says so. */
    static Progress until(BooleanSupplier stop) {
        return (done, of) -> {
            if (stop.getAsBoolean()) {
                throw new StoppedException();
            }
        };
    }
}
