package app.narrowgate.core.progress;

/**
 * How long work hears that nobody wants it any more: its thread is interrupted, and it looks at that between steps that
 * take well below a tenth of a second.
 */
public final class Stopping {

    private Stopping() {
    }

    /**
     * Goes on where nobody interrupted this thread; the interruption stays for whoever runs the thread.
     *
     * @throws StoppedException where somebody did
     */
    public static void check() {
        if (Thread.currentThread().isInterrupted()) {
            throw new StoppedException();
        }
    }
}
