package app.narrowgate.server.limit;

import io.micrometer.core.instrument.Counter;
import io.micrometer.core.instrument.MeterRegistry;
import java.util.EnumMap;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Counts how often somebody came to a limit: as the metric {@value #METRIC} with the limit's name, and as a line in the
 * log at the first time and whenever ten times as many have come.
 */
@Component
public class Limits {

    static final String METRIC = "narrowgate.limit.met";
    private static final Logger LOG = LoggerFactory.getLogger(Limits.class);

    private final Map<Limit, Counter> counters = new EnumMap<>(Limit.class);
    private final Map<Limit, Long> nextLine = new EnumMap<>(Limit.class);

    /** Counters in {@code meters}, all at 0. */
    public Limits(MeterRegistry meters) {
        for (Limit limit : Limit.values()) {
            counters.put(limit, Counter.builder(METRIC).tag("limit", limit.tag())
                    .description("How often somebody came to this limit").register(meters));
            nextLine.put(limit, 1L);
        }
    }

    /** Somebody has come to {@code limit}. */
    public void met(Limit limit) {
        Counter counter = counters.get(limit);
        counter.increment();
        synchronized (this) {
            if (counter.count() >= nextLine.get(limit)) {
                nextLine.put(limit, 10 * nextLine.get(limit));
                LOG.warn("Somebody came to the limit “{}”, {} times so far", limit.tag(), Math.round(counter.count()));
            }
        }
    }
}
