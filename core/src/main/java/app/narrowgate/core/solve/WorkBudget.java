package app.narrowgate.core.solve;

import app.narrowgate.core.progress.Stopping;

/**
 * What a solve may still do, counted in responses or matrix entries looked at, so that the same map always gets as
 * far on every machine. Spending also looks whether the work is still wanted. For one thread.
 */
final class WorkBudget {

    /** As much as is spent between two looks: a few milliseconds. */
    private static final long BETWEEN_LOOKS = 1_000_000;

    private long left;
    private long untilLook;

    WorkBudget(long most) {
        left = most;
    }

    /**
     * Counts {@code work} that was done.
     *
     * @return false once everything is spent
     * @throws app.narrowgate.core.progress.StoppedException when the work is not wanted any more
     */
    boolean spend(long work) {
        left -= work;
        untilLook -= work;
        if (untilLook <= 0) {
            untilLook = BETWEEN_LOOKS;
            Stopping.check();
        }
        return left > 0;
    }
}
