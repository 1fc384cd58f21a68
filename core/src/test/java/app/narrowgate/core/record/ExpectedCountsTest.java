package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Against every way through a map without loops, and against rounds rolled on one with loops. */
class ExpectedCountsTest {

    private static final PlaceKind OUT = PlaceKind.GUARD;

    /** Three places one after the other, each answered in two ways or stuffed; no way leads back. */
    private static SolvedMap straight() {
        return SolvedMap.of(MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("last").situation("second").situation("first")
                .reaction("first", 0.6, 0, Map.of(), Optional.of("second"), "guard*2", "second*3")
                .reaction("second", 0.5, 0, Map.of(), Optional.of("last"), "guard*1", "last*1")
                .reaction("last", 0.3, 0, Map.of(), Optional.of("tap"), "guard*4", "tap*1").map()), Setting.of(Id.of("even")));
    }

    /** A pin that is fallen back into from the place that it is left for. */
    private static SolvedMap looping() {
        return SolvedMap.of(MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("half", 6, "pinned").situation("pinned", 5, "tap")
                .reaction("pinned", 0.6, 1, Map.of(), Optional.of("pinned"), "half*2", "pinned*1")
                .reaction("half", 0.5, 1, Map.of(), Optional.of("pinned"), "guard*2", "pinned*1").map()), Setting.of(Id.of("even")));
    }

    private static ExpectedCounts counting(SolvedMap solved) {
        return new ExpectedCounts(solved, reaction -> 1);
    }

    static Event.Round round(String start, PlaceKind kind, String reaction, String response) {
        return new Event.Round(UUID.randomUUID(), Instant.EPOCH, Optional.of(new UUID(0, 1)), Optional.empty(), Id.of(start), Optional.empty(),
                Ending.in(kind), Optional.empty(), Optional.ofNullable(reaction).map(Id::of), Optional.ofNullable(response).map(Id::of), false,
                Optional.empty());
    }

    /** A way through: its chance, and where it ended. */
    private record Way(double chance, List<Branch> branches, List<Id> tried, Id end) {
    }

    private static void ways(SolvedMap solved, Id at, double chance, List<Branch> branches, List<Id> tried, List<Way> found) {
        List<Branch> next = solved.branches(at);
        if (next.isEmpty()) {
            found.add(new Way(chance, List.copyOf(branches), List.copyOf(tried), at));
        }
        for (Branch branch : next) {
            List<Branch> more = new ArrayList<>(branches);
            more.add(branch);
            List<Id> moreTried = new ArrayList<>(tried);
            moreTried.add(solved.best(solved.place(at)).orElseThrow().id());
            if (solved.place(branch.landing()) < solved.game().situations) {
                ways(solved, branch.landing(), chance * branch.share(), more, moreTried, found);
            } else {
                found.add(new Way(chance * branch.share(), more, moreTried, branch.landing()));
            }
        }
    }

    @Test
    void onAMapWithoutLoopsTheyAreThoseOfAllWaysToThatEnd() {
        SolvedMap solved = straight();
        ExpectedCounts expected = counting(solved);
        for (PlaceKind kind : List.of(OUT, PlaceKind.TAP)) {
            List<Way> ways = new ArrayList<>();
            ways(solved, Id.of("first"), 1, List.of(), List.of(), ways);
            ways.removeIf(way -> solved.kinds()[solved.place(way.end())] != kind);
            double all = ways.stream().mapToDouble(Way::chance).sum();
            Counts counts = counts(expected, round("first", kind, null, null));
            for (String reaction : List.of("r1", "r2", "r3")) {
                double tries = ways.stream().mapToDouble(way -> way.chance() / all * way.tried().stream().filter(Id.of(reaction)::equals).count()).sum();
                double going = ways.stream().mapToDouble(way -> way.chance() / all * way.branches().stream()
                        .filter(branch -> branch.response().filter(link -> link.reaction().equals(Id.of(reaction))).isPresent()).count()).sum();
                assertThat(counts.tries(Id.of(reaction))).as("%s to %s", reaction, kind).isCloseTo(tries, within(1e-12));
                assertThat(counts.going(Id.of(reaction))).isCloseTo(going, within(1e-12));
            }
            LinkRef link = new LinkRef(Id.of("r1"), Id.of("r1-1"));
            double answered = ways.stream().mapToDouble(way -> way.chance() / all * way.branches().stream()
                    .filter(branch -> branch.response().equals(Optional.of(link))).count()).sum();
            assertThat(counts.answers(link)).isCloseTo(answered, within(1e-12));
        }
    }

    @Test
    void whatWasNotedCountsWhole() {
        ExpectedCounts expected = counting(straight());
        Counts counts = counts(expected, round("first", OUT, "r2", "r2-1"));
        assertThat(counts.tries(Id.of("r2"))).isEqualTo(1);
        assertThat(counts.going(Id.of("r2"))).isEqualTo(1);
        assertThat(counts.answers(new LinkRef(Id.of("r2"), Id.of("r2-1")))).isEqualTo(1);
        assertThat(counts.tries(Id.of("r1"))).as("one came to the second place only by the first").isCloseTo(1, within(1e-12));
        assertThat(counts.answers(new LinkRef(Id.of("r1"), Id.of("r1-1")))).as("had that come, they would have been out").isZero();
        assertThat(counts.tries(Id.of("r3"))).isZero();
        Counts half = counts(expected, round("second", OUT, "r2", null));
        assertThat(half.tries(Id.of("r2"))).isCloseTo(1, within(1e-12));
        assertThat(half.going(Id.of("r2"))).isCloseTo(1, within(1e-12));
        assertThat(half.answers(new LinkRef(Id.of("r2"), Id.of("r2-1")))).as("nothing else got going, so it led out").isCloseTo(1, within(1e-12));
        assertThat(half.tries(Id.of("r3"))).isZero();
    }

    @Test
    void onAMapWithLoopsTheyAreThoseOfManyRoundsToThatEnd() {
        SolvedMap solved = looping();
        TrueMat mat = Mat.of(solved, 7);
        Map<PlaceKind, List<Counts>> seen = new HashMap<>();
        for (int roll = 0; roll < 100_000; roll++) {
            mat.roll(Id.of("pinned")).ifPresent(rolled -> seen.computeIfAbsent(rolled.kind(), kind -> new ArrayList<>()).add(rolled.counts()));
        }
        ExpectedCounts expected = counting(solved);
        assertThat(seen.keySet()).contains(OUT, PlaceKind.TAP);
        seen.forEach((kind, rounds) -> {
            Counts counts = counts(expected, round("pinned", kind, null, null));
            for (Id id : List.of(Id.of("r1"), Id.of("r2"))) {
                isTheMeanOf(rounds.stream().mapToDouble(round -> round.tries(id)).toArray(), counts.tries(id));
                isTheMeanOf(rounds.stream().mapToDouble(round -> round.going(id)).toArray(), counts.going(id));
            }
        });
    }

    @Test
    void soAreThoseOfManyRoundsWhoseLastAnswerWasNoted() {
        SolvedMap solved = looping();
        TrueMat mat = Mat.of(solved, 9);
        Map<List<?>, List<Counts>> seen = new HashMap<>();
        for (int roll = 0; roll < 100_000; roll++) {
            mat.roll(Id.of("pinned")).filter(rolled -> rolled.last().isPresent())
                    .ifPresent(rolled -> seen.computeIfAbsent(List.of(rolled.kind(), rolled.last().get()), key -> new ArrayList<>()).add(rolled.counts()));
        }
        ExpectedCounts expected = counting(solved);
        assertThat(seen).as("out by the second; tapped after any of the others").hasSize(4);
        seen.forEach((key, rounds) -> {
            LinkRef last = (LinkRef) key.get(1);
            Counts counts = counts(expected, round("pinned", (PlaceKind) key.get(0), last.reaction().value(), last.response().value()));
            for (Id id : List.of(Id.of("r1"), Id.of("r2"))) {
                isTheMeanOf(rounds.stream().mapToDouble(round -> round.tries(id)).toArray(), counts.tries(id));
                isTheMeanOf(rounds.stream().mapToDouble(round -> round.going(id)).toArray(), counts.going(id));
            }
        });
    }

    /** Within five standard errors. */
    private static void isTheMeanOf(double[] seen, double expected) {
        double mean = Arrays.stream(seen).average().orElseThrow();
        double variance = Arrays.stream(seen).map(one -> (one - mean) * (one - mean)).average().orElseThrow();
        assertThat(seen.length).isGreaterThan(1000);
        assertThat(expected).isCloseTo(mean, within(5 * Math.sqrt(variance / seen.length)));
    }

    private static Counts counts(ExpectedCounts expected, Event.Round round) {
        return expected.of(Tally.Kind.of(round)).orElseThrow();
    }

    @Test
    void whatCannotBeCountsNothing() {
        ExpectedCounts expected = counting(straight());
        assertThat(expected.of(Tally.Kind.of(round("nowhere", OUT, null, null)))).isEmpty();
        assertThat(expected.of(Tally.Kind.of(round("first", PlaceKind.TURTLE, null, null)))).as("no way leads there").isEmpty();
        assertThat(counts(expected, round("first", PlaceKind.STANDING, null, null)).tries(Id.of("r1")))
                .as("no way leads there, but it is out all the same").isEqualTo(counts(expected, round("first", OUT, null, null)).tries(Id.of("r1")));
        Event.Round held = round("first", OUT, null, null);
        assertThat(expected.of(Tally.Kind.of(new Event.Round(held.id(), held.at(), held.person(), held.partner(), held.start(), held.side(), Ending.STILL_HELD,
                held.seconds(), held.reaction(), held.response(), false, held.gap())))).isEmpty();
    }

    @Test
    void aClockThatRanOutIsSeenAsSuch() {
        Event.Round one = round("pinned", PlaceKind.TAP, null, null);
        Counts counts = counts(counting(looping()), new Event.Round(one.id(), one.at(), one.person(), one.partner(), one.start(), one.side(),
                new Ending(Optional.of(PlaceKind.TAP), Optional.of(Id.of("tap"))), Optional.of(8), one.reaction(), one.response(), true, one.gap()));
        assertThat(counts.runs(Id.of("pinned"))).isEqualTo(1);
        assertThat(counts.seconds(Id.of("pinned"))).isEqualTo(8);
        assertThat(counts.tries(Id.of("r1"))).as("it may have been stuffed before").isPositive();
        assertThat(counts.going(Id.of("r1"))).isZero();
    }
}
