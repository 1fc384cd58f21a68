package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
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
     * The expected flow under {@code setting}, from the starts or from one situation, by exchange number; what has ended
     * stays where it ended.
     *
     * @param exchanges how many exchanges to follow, 1 to 30
     */
    public static Flow of(MapIndex index, Setting setting, java.util.Optional<Id> from, int exchanges) {
        if (!(exchanges >= 1 && exchanges <= MOST_EXCHANGES)) {
            throw new IllegalArgumentException(
                    "%d exchanges; between 1 and %d can be followed.".formatted(exchanges, MOST_EXCHANGES));
        }
        Solved solved = Solved.converged(index, setting);
        RoundChain chain = RoundChain.of(solved.game(), solved.solution());
        double[] here = solved.startsAt(from);
        List<Map<Id, Double>> layers = new ArrayList<>();
        List<Link> links = new ArrayList<>();
        layers.add(layer(solved, here));
        for (int exchange = 1; exchange <= exchanges; exchange++) {
            addLinks(solved, chain, here, exchange, links);
            here = chain.step(here);
            layers.add(layer(solved, here));
        }
        links.sort(Comparator.comparingInt(Link::exchange)
                .thenComparing(Comparator.comparingDouble(Link::count).reversed()));
        return new Flow(layers, links);
    }

    private static void addLinks(Solved solved, RoundChain chain, double[] here, int exchange, List<Link> links) {
        for (int s = 0; s < solved.game().situations; s++) {
            if (here[s] <= 0 || chain.ends(s)) {
                continue;
            }
            Map<Integer, Double> to = new LinkedHashMap<>();
            for (int i = chain.row[s]; i < chain.row[s + 1]; i++) {
                to.merge(chain.target[i], 100 * here[s] * chain.probability[i], Double::sum);
            }
            for (Map.Entry<Integer, Double> entry : to.entrySet()) {
                if (entry.getValue() >= WORTH_SAYING) {
                    links.add(new Link(exchange, solved.placeId(s), solved.placeId(entry.getKey()), entry.getValue()));
                }
            }
        }
    }

    private static Map<Id, Double> layer(Solved solved, double[] here) {
        Map<Id, Double> layer = new LinkedHashMap<>();
        for (int place = 0; place < here.length; place++) {
            if (100 * here[place] >= WORTH_SAYING) {
                layer.put(solved.placeId(place), 100 * here[place]);
            }
        }
        return layer;
    }
}
