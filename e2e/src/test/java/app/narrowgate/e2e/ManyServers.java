package app.narrowgate.e2e;

/**
 * Requests that come at random, wait in one queue and are served by several alike: M/M/c.
 *
 * <p>Problem: how long a request takes, waiting included, where arrivals are Poisson and service times exponential. Method: Erlang's second
 * formula for the chance to wait, and the closed form of the time in the system (Gross, Shortle, Thompson and Harris, "Fundamentals of
 * Queueing Theory", section 3.3; from memory). Precondition: fewer arrivals than can be served. Cost: O(c).
 *
 * @param arrivals a second
 * @param service seconds that one request takes of one server
 * @param servers at least 1
 */
record ManyServers(double arrivals, double service, int servers) {

    /** The share of their time in which servers are busy; from 1 on the queue grows without end. */
    double busy() {
        return load() / servers;
    }

    private double load() {
        return arrivals * service;
    }

    /** The chance that a request finds all of them busy. */
    double waits() {
        // Erlang's first formula, built up a server at a time, so that nothing overflows.
        double blocked = 1;
        for (int i = 1; i <= servers; i++) {
            blocked = load() * blocked / (i + load() * blocked);
        }
        return blocked / (1 - busy() * (1 - blocked));
    }

    /** Mean seconds from arrival until served. */
    double mean() {
        return service + waits() * service / (servers - load());
    }

    /** The chance that a request takes longer than so many seconds. */
    double longerThan(double seconds) {
        double rate = 1 / service;
        double spare = servers - 1 - load();
        double own = Math.exp(-rate * seconds);
        return Math.abs(spare) < 1e-9 ? own * (1 + waits() * rate * seconds)
                : own * (1 + waits() * (1 - Math.exp(-rate * seconds * spare)) / spare);
    }

    /** So many seconds at most take all but {@code share} of the requests; infinite where the queue grows. */
    double within(double share) {
        if (busy() >= 1) {
            return Double.POSITIVE_INFINITY;
        }
        double low = 0;
        double high = service;
        while (longerThan(high) > share) {
            high *= 2;
        }
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            if (longerThan(middle) > share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }
}
