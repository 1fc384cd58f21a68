package app.narrowgate.core.advice;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What a late start costs.
 *
 * @param delays seconds, rising
 * @param start worth of the starts at each delay
 * @param situations worth of each situation at each delay
 */
public record LateCurve(List<Double> delays, List<Double> start, Map<Id, List<Double>> situations) {

    /** Delays of the usual curve: 0 to 5 s in quarters. */
    private static final int STEPS = 20;
    private static final double STEP = 0.25;

    public LateCurve {
        delays = List.copyOf(delays);
        start = List.copyOf(start);
        situations = Collections.unmodifiableMap(new LinkedHashMap<>(situations));
    }

    /** The curve from 0 to 5 s, whatever late start {@code base} was solved under. Cost: 21 solves. */
    public static LateCurve of(SolvedMap base) {
        List<Double> delays = new ArrayList<>();
        List<Double> start = new ArrayList<>();
        Map<Id, List<Double>> situations = new LinkedHashMap<>();
        for (int i = 0; i <= STEPS; i++) {
            double delay = i * STEP;
            SolvedMap solved = base.under(base.setting().withLate(delay));
            delays.add(delay);
            start.add(solved.startWorth());
            for (int s = 0; s < solved.game().situations; s++) {
                situations.computeIfAbsent(solved.placeId(s), id -> new ArrayList<>())
                        .add(solved.solution().value(s));
            }
        }
        return new LateCurve(delays, start, situations);
    }
}
