package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceNotes;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Five places by hand: two alike, one told apart by a fact, one by the bearing, one by what is held. */
class LookAlikesTest {

    private static Situation place(String id, double entry, Optional<Bearing> bearing, Map<Id, Boolean> facts, Segment... held) {
        return new Situation(Id.of(id), "Place " + id, Id.of("family"), Optional.of(Stage.JOINED), bearing,
                Set.of(held).stream().collect(Collectors.toMap(s -> s, s -> "a hand")), facts, Optional.empty(), entry,
                Optional.empty(), List.of(), PlaceNotes.NONE, Optional.empty());
    }

    private static Reaction answer(String id, String from, String technique, double works) {
        return Reaction.answer(Id.of(id), Id.of(from), Id.of(technique), Map.of(), 0, Likelihood.of(works), Optional.of(Id.of("tap")),
                List.of(new Response(Id.of(id + "-1"), "They fall", Likelihood.of(1), Optional.of(Id.of("win")))));
    }

    private static EscapeMap map() {
        Map<Id, Boolean> open = Map.of(Id.of("open"), true);
        Map<Id, Boolean> shut = Map.of(Id.of("open"), false);
        EscapeMap map = new MapFixture().fact("open").map();
        for (Situation s : List.of(
                place("low", 3, Optional.of(Bearing.ASTRIDE), open, Segment.HIPS),
                place("upright", 1, Optional.of(Bearing.ASTRIDE), Map.of(), Segment.HIPS, Segment.TRUNK, Segment.HEAD),
                place("shut", 1, Optional.of(Bearing.ASTRIDE), shut, Segment.HIPS),
                place("behind", 1, Optional.of(Bearing.BEHIND), Map.of(), Segment.HIPS),
                place("bound", 4, Optional.empty(), Map.of(), Segment.NEAR_ARM, Segment.FAR_ARM, Segment.HEAD))) {
            map = map.with(s);
        }
        for (String technique : List.of("bridge", "elbow", "turn", "roll", "wait")) {
            map = map.with(Technique.named(Id.of(technique), technique));
        }
        for (Reaction r : List.of(answer("a", "low", "bridge", 0.8), answer("b", "low", "elbow", 0.5),
                answer("c", "upright", "elbow", 0.6), answer("d", "shut", "turn", 0.7), answer("e", "behind", "roll", 0.4),
                answer("f", "bound", "wait", 0.3))) {
            map = map.with(r);
        }
        return map;
    }

    @Test
    void priceIsChanceTimesLossAndOnlyWhatIsAlikeIsListed() {
        PracticeGraph graph = PracticeGraph.of(SolvedMap.of(MapIndex.of(map()), Setting.of(Id.of("win"))), HouseTimes.USUAL);
        List<LookAlike> found = LookAlikes.of(graph);
        LookAlike dearest = found.get(0);
        assertThat(dearest.one().situation()).isEqualTo(Id.of("low"));
        assertThat(dearest.other().situation()).isEqualTo(Id.of("upright"));
        assertThat(dearest.one().chance()).as("three of ten start there").isCloseTo(0.3, within(1e-9));
        assertThat(dearest.one().loss()).as("the elbow escape where the bridge goes").isCloseTo(0.8 - 0.5, within(1e-6));
        assertThat(dearest.other().loss()).as("no bridge is taught there, and no clock runs").isCloseTo(0.6, within(1e-6));
        assertThat(dearest.price()).isCloseTo(0.3 * 0.3 + 0.1 * 0.6, within(1e-6));
        assertThat(found).extracting(pair -> Set.of(pair.one().situation().value(), pair.other().situation().value()))
                .containsExactlyInAnyOrder(Set.of("low", "upright"), Set.of("upright", "shut"));
        assertThat(found).extracting(LookAlike::price).isSortedAccordingTo((a, b) -> Double.compare(b, a));
    }

    /** Two responses to one answer that lead to look-alikes: how often they come is what the mix-up is worth. */
    @Test
    void responsesAreKeptApartToo() {
        EscapeMap map = map().with(place("start", 0, Optional.empty(), Map.of()));
        map = map.with(new Reaction(Id.of("g"), Id.of("start"), Id.of("turn"), "", "", Map.of(), 0, Likelihood.of(1), Optional.empty(),
                List.of(new Response(Id.of("g-1"), "They drop", Likelihood.of(3), Optional.of(Id.of("low"))),
                        new Response(Id.of("g-2"), "They rise", Likelihood.of(1), Optional.of(Id.of("upright"))))));
        for (Situation s : map.situations()) {
            map = map.with(s.withEntry(s.id().equals(Id.of("start")) ? 1 : 0));
        }
        PracticeGraph graph = PracticeGraph.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("win"))), HouseTimes.USUAL);
        assertThat(LookAlikes.of(graph)).filteredOn(pair -> pair.after().isPresent()).singleElement().satisfies(pair -> {
            assertThat(pair.after()).contains(Id.of("g"));
            assertThat(pair.price()).isCloseTo(0.75 * 0.3 + 0.25 * 0.6, within(1e-6));
        });
    }
}
