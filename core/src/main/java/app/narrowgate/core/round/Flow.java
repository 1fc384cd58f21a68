package app.narrowgate.core.round;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.RoundChain;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Where 100 starts go.
 *
 * @param exchanges index 0 is the start; each later one an exchange further
 * @param links how many of 100 go from one place to another in each exchange, the largest first
 */
public record Flow(List<Map<Id, Double>> exchanges, List<Link> links) {

    /** Fewer of 100 than this are not listed. */
    private static final double WORTH_SAYING = 0.05;
    private static final int MOST_EXCHANGES = 30;

    public Flow {
        exchanges = exchanges.stream().map(m -> java.util.Collections.unmodifiableMap(new LinkedHashMap<>(m))).toList();
        links = List.copyOf(links);
    }

    /**
     * A band of the flow.
     *
     * @param exchange which exchange, from 1
     * @param count how many of 100
     */
    public record Link(int exchange, Id from, Id to, double count) {
    }

    /**
     * The expected flow on {@code solved}, from the starts or from one situation, by exchange number; what has ended
     * stays where it ended.
     *
     * @param exchanges how many exchanges to follow, 1 to 30
     */
    public static Flow of(SolvedMap solved, java.util.Optional<Id> from, int exchanges) {
        if (!(exchanges >= 1 && exchanges <= MOST_EXCHANGES)) {
            throw new RefusedException(
                    "%d exchanges; between 1 and %d can be followed.".formatted(exchanges, MOST_EXCHANGES));
        }
        RoundChain chain = solved.converged().chain();
        double[] here = solved.startsAt(from);
        List<Map<Id, Double>> layers = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        layers.add(layer(solved, here));
        for (int exchange = 1; exchange <= exchanges; exchange++) {
            addLinks(solved, here, exchange, links);
            here = chain.step(here);
            layers.add(layer(solved, here));
        }
        links.sort(Comparator.comparingInt(Link::exchange)
                .thenComparing(Comparator.comparingDouble(Link::count).reversed()));
        return new Flow(layers, links);
    }

    private static void addLinks(SolvedMap solved, double[] here, int exchange, List<Link> links) {
        for (int s = 0; s < solved.game().situations; s++) {
            if (here[s] <= 0) {
                continue;
            }
            Map<Id, Double> to = new LinkedHashMap<>();
            for (Branch branch : solved.branches(solved.placeId(s))) {
                to.merge(branch.landing(), 100 * here[s] * branch.share(), Double::sum);
            }
            for (Map.Entry<Id, Double> entry : to.entrySet()) {
                if (entry.getValue() >= WORTH_SAYING) {
                    links.add(new Link(exchange, solved.placeId(s), entry.getKey(), entry.getValue()));
                }
            }
        }
    }

    private static Map<Id, Double> layer(SolvedMap solved, double[] here) {
        Map<Id, Double> layer = new LinkedHashMap<>();
        for (int place = 0; place < here.length; place++) {
            if (100 * here[place] >= WORTH_SAYING) {
                layer.put(solved.placeId(place), 100 * here[place]);
            }
        }
        return layer;
    }
}
