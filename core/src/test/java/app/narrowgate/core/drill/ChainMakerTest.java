package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.PriorityQueue;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Chains against a search through every order of few links, and by hand. */
class ChainMakerTest {

    private static final HouseTimes TIMES = HouseTimes.USUAL;

    private static PracticeGraph graph(EscapeMap map) {
        return PracticeGraph.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("even"))), TIMES);
    }

    private static LinkRef link(String reaction, int response) {
        return new LinkRef(Id.of(reaction), Id.of(reaction + "-" + response));
    }

    /** Recoveries from two passes into an open guard, and a sweep from it: the everyday chain. */
    private static MapFixture everyday() {
        return new MapFixture().reversal("win", "guard").resting("guard", PlaceKind.GUARD).situation("round").situation("knee")
                .feeds("guard", "round", "knee")
                .reaction("round", 0.6, "guard").reaction("knee", 0.6, "guard").reaction("guard", 0.5, "win");
    }

    @Test
    void aChainThatEndsWhereItBeginsNeedsNoReset() {
        Chain chain = ChainMaker.make(graph(everyday().map()),
                new ChainRequest(List.of(link("r1", 1), link("r2", 1), link("r3", 1)), 2, 1));
        DrillFigures figures = chain.figures();
        assertThat(figures.resets()).isZero();
        assertThat(figures.links()).isEqualTo(12);
        assertThat(figures.swaps()).isEqualTo(4);
        assertThat(figures.lost()).as("eight feeds and four swaps").isEqualTo(8 * TIMES.feed() + 4 * TIMES.swap());
        assertThat(chain.proven()).isTrue();
        assertThat(figures.share()).isCloseTo(figures.working() / (figures.working() + 28), within(1e-12));
        assertThat(figures.linksPerMinute()).isCloseTo(60 * 12 / figures.seconds(), within(1e-12));
        assertThat(chain.steps().get(0).link()).contains(link("r1", 1));
        assertThat(chain.steps().get(0).from().bottom()).isEqualTo(Role.FIRST);
    }

    /** Without the sweep nobody swaps: each half of the walk is begun once from the start. */
    @Test
    void partnersWhoNeverSwapAreBroughtTogetherByTwoResets() {
        Chain chain = ChainMaker.make(graph(everyday().map()), new ChainRequest(List.of(link("r1", 1), link("r2", 1)), 3, 1));
        assertThat(chain.figures().resets()).isEqualTo(2);
        assertThat(chain.figures().lost()).isEqualTo(10 * TIMES.feed() + 2 * TIMES.reset());
        assertThat(chain.proven()).isTrue();
    }

    @Test
    void whatTheMapDoesNotSayIsTakenByKind() {
        EscapeMap map = new MapFixture().resting("guard", PlaceKind.GUARD).situation("pin", 5, "mount").situation("mount")
                .resting("half", PlaceKind.HALF).reaction("pin", 0.5, "win", "half").map();
        PracticeGraph graph = graph(map);
        assertThat(graph.then(Id.of("win"))).as("the other one has a guard").contains(Id.of("guard"));
        assertThat(graph.then(Id.of("tap"))).isEmpty();
        assertThat(graph.feeds(Id.of("guard"))).as("no early place here").isEmpty();
        assertThat(graph.feeds(Id.of("pin"))).isEmpty();
    }

    @Test
    void whatCannotBePractisedIsNamed() {
        PracticeGraph graph = graph(everyday().wrong("guard", 0.5, "knee").reaction("knee", 0.4, "").map());
        assertThatThrownBy(() -> graph.link(link("r4", 1))).isInstanceOf(RefusedException.class).hasMessageContaining("mistake");
        assertThatThrownBy(() -> graph.link(link("r5", 1))).isInstanceOf(RefusedException.class).hasMessageContaining("answered");
        assertThatThrownBy(() -> graph.link(link("r9", 1))).isInstanceOf(RefusedException.class).hasMessageContaining("r9");
        assertThatThrownBy(() -> new ChainRequest(List.of(link("r1", 1), link("r1", 1)), 2, 1)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new ChainRequest(List.of(), 2, 1)).isInstanceOf(RefusedException.class);
    }

    static IntStream seeds() {
        return IntStream.range(0, 80);
    }

    /** Random maps whose places of rest feed something and whose wins swap. */
    private static PracticeGraph random(int seed) {
        Random random = new Random(seed);
        EscapeMap map = RandomMaps.map(random, 6, 2, 2);
        for (var situation : map.situations()) {
            if (situation.rest().isPresent()) {
                map = map.with(situation.withFeeds(List.of(Id.of("s" + random.nextInt(6)), Id.of("s" + random.nextInt(6)))));
            }
        }
        return graph(map);
    }

    private static List<LinkRef> someLinks(PracticeGraph graph, int most, long seed) {
        List<LinkRef> all = new ArrayList<>();
        graph.solved().map().situations().forEach(s -> graph.linksFrom(s.id()).forEach(l -> all.add(l.ref())));
        java.util.Collections.shuffle(all, new Random(seed));
        return all.subList(0, Math.min(most, all.size()));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void losesAsLittleAsTheBestOfAllOrders(int seed) {
        PracticeGraph graph = random(seed);
        List<LinkRef> links = someLinks(graph, 4, seed);
        if (links.isEmpty()) {
            return;
        }
        Chain chain = ChainMaker.make(graph, new ChainRequest(links, 1, seed));
        assertThat(chain.proven()).isTrue();
        assertThat(chain.figures().lost()).isCloseTo(leastLost(graph, links), within(1e-9));
        assertIsAWalk(chain, links, 1);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void everyLinkIsCoveredForBothPartnersAndTheWalkConnects(int seed) {
        PracticeGraph graph = random(500 + seed);
        List<LinkRef> links = someLinks(graph, 9, seed);
        if (links.isEmpty()) {
            return;
        }
        Chain chain = ChainMaker.make(graph, new ChainRequest(links, 3, seed));
        assertIsAWalk(chain, links, 3);
        assertThat(chain.bound()).isLessThanOrEqualTo(chain.figures().lost() + 1e-9);
        assertThat(ChainMaker.make(graph, new ChainRequest(links, 3, seed))).isEqualTo(chain);
    }

    private static void assertIsAWalk(Chain chain, List<LinkRef> links, int repetitions) {
        List<DrillStep> steps = chain.steps();
        for (int at = 0; at < steps.size(); at++) {
            assertThat(steps.get(at).to()).isEqualTo(steps.get((at + 1) % steps.size()).from());
        }
        for (LinkRef link : links) {
            for (Role role : Role.values()) {
                assertThat(steps).filteredOn(s -> s.link().filter(link::equals).isPresent() && s.from().bottom() == role)
                        .hasSizeGreaterThanOrEqualTo(repetitions);
            }
        }
    }

    /** Dijkstra over every place and every set of links done so far: no circulation, no cycle. */
    private static double leastLost(PracticeGraph graph, List<LinkRef> refs) {
        List<PracticeLink> links = refs.stream().map(graph::link).toList();
        record State(Place place, int done) {
        }
        Map<State, Double> reached = new HashMap<>();
        PriorityQueue<Map.Entry<State, Double>> next = new PriorityQueue<>(Comparator.comparingDouble(Map.Entry::getValue));
        Place begin = new Place(links.get(0).start(), Role.FIRST);
        next.add(Map.entry(new State(begin, 0), 0.0));
        int all = (1 << 2 * links.size()) - 1;
        while (!next.isEmpty()) {
            var entry = next.poll();
            State state = entry.getKey();
            if (reached.putIfAbsent(state, entry.getValue()) != null) {
                continue;
            }
            if (state.done() == all && state.place().equals(begin)) {
                return entry.getValue();
            }
            Place place = state.place();
            double lost = entry.getValue();
            for (int l = 0; l < links.size(); l++) {
                PracticeLink link = links.get(l);
                if (link.start().equals(place.at())) {
                    int bit = 1 << 2 * l + place.bottom().ordinal();
                    next.add(Map.entry(new State(new Place(link.landing(), place.bottom()), state.done() | bit), lost));
                }
                for (Role role : Role.values()) {
                    next.add(Map.entry(new State(new Place(link.start(), role), state.done()), lost + TIMES.reset()));
                }
            }
            for (Id fed : graph.feeds(place.at())) {
                next.add(Map.entry(new State(new Place(fed, place.bottom()), state.done()), lost + TIMES.feed()));
            }
            graph.then(place.at()).ifPresent(then -> next.add(Map.entry(
                    new State(new Place(then, place.bottom().other()), state.done()), lost + TIMES.swap())));
        }
        throw new IllegalStateException("Impossible state: every start is reached by resets");
    }
}
