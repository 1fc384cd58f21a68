package app.narrowgate.server.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.server.drill.ReadingController.MixUpView;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What was taken for what, the commonest first. */
final class MixUps {

    private static final int MOST = 6;

    private record Pair(String reaction, String chosen) {
    }

    private MixUps() {
    }

    /** The commonest among {@code rows}; what is no longer on the map is left out. */
    static List<MixUpView> of(MapIndex index, List<ReadingRow> rows) {
        Map<Pair, Integer> times = new LinkedHashMap<>();
        rows.stream().filter(row -> !row.correct()).forEach(row -> times.merge(new Pair(row.reaction(), row.chosen()), 1, Integer::sum));
        return times.entrySet().stream()
                .filter(e -> index.reaction(Id.of(e.getKey().reaction())).isPresent()
                        && index.technique(Id.of(e.getKey().chosen())).isPresent())
                .sorted(Map.Entry.<Pair, Integer>comparingByValue(Comparator.reverseOrder())).limit(MOST)
                .map(e -> new MixUpView(e.getKey().reaction(), index.reactionTitle(index.reaction(Id.of(e.getKey().reaction())).orElseThrow()),
                        e.getKey().chosen(), index.title(PartKind.TECHNIQUES, Id.of(e.getKey().chosen())), e.getValue()))
                .toList();
    }
}
