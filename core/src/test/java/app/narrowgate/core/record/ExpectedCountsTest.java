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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
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

    private static Event.Round round(String start, PlaceKind kind, String reaction, String response) {
        return new Event.Round(UUID.randomUUID(), Instant.EPOCH, new UUID(0, 1), Optional.empty(), Id.of(start), Optional.empty(), Ending.in(kind),
                Optional.empty(), Optional.ofNullable(reaction).map(Id::of), Optional.ofNullable(response).map(Id::of), Optional.empty());
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
        ExpectedCounts expected = new ExpectedCounts(solved);
        for (PlaceKind kind : List.of(OUT, PlaceKind.TAP)) {
            List<Way> ways = new ArrayList<>();
            ways(solved, Id.of("first"), 1, List.of(), List.of(), ways);
            ways.removeIf(way -> solved.kinds()[solved.place(way.end())] != kind);
            double all = ways.stream().mapToDouble(Way::chance).sum();
            Counts counts = expected.of(round("first", kind, null, null)).orElseThrow();
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
        ExpectedCounts expected = new ExpectedCounts(straight());
        Counts counts = expected.of(round("first", OUT, "r2", "r2-1")).orElseThrow();
        assertThat(counts.tries(Id.of("r2"))).isEqualTo(1);
        assertThat(counts.going(Id.of("r2"))).isEqualTo(1);
        assertThat(counts.answers(new LinkRef(Id.of("r2"), Id.of("r2-1")))).isEqualTo(1);
        assertThat(counts.tries(Id.of("r1"))).as("one came to the second place only by the first").isCloseTo(1, within(1e-12));
        assertThat(counts.answers(new LinkRef(Id.of("r1"), Id.of("r1-1")))).as("had that come, they would have been out").isZero();
        assertThat(counts.tries(Id.of("r3"))).isZero();
        Counts half = expected.of(round("second", OUT, "r2", null)).orElseThrow();
        assertThat(half.tries(Id.of("r2"))).isCloseTo(1, within(1e-12));
        assertThat(half.going(Id.of("r2"))).as("it may have been stuffed, and the last one got them out").isBetween(0.5, 0.99);
        assertThat(half.tries(Id.of("r3"))).isCloseTo(1 - half.answers(new LinkRef(Id.of("r2"), Id.of("r2-1"))), within(1e-12));
    }

    @Test
    void onAMapWithLoopsTheyAreThoseOfManyRoundsToThatEnd() {
        SolvedMap solved = looping();
        Random random = new Random(7);
        Map<PlaceKind, Map<Id, double[]>> seen = new HashMap<>();
        Map<PlaceKind, Integer> ended = new HashMap<>();
        for (int roll = 0; roll < 200_000; roll++) {
            Map<Id, double[]> here = new HashMap<>();
            Id at = Id.of("pinned");
            for (List<Branch> next = solved.branches(at); !next.isEmpty(); next = solved.branches(at)) {
                double left = random.nextDouble();
                int i = 0;
                while (i < next.size() - 1 && left >= next.get(i).share()) {
                    left -= next.get(i++).share();
                }
                Branch branch = next.get(i);
                double[] both = here.computeIfAbsent(solved.best(solved.place(at)).orElseThrow().id(), id -> new double[2]);
                both[0] += branch.cause() == Branch.Cause.RESPONSE || branch.cause() == Branch.Cause.STUFFED ? 1 : 0;
                both[1] += branch.cause() == Branch.Cause.RESPONSE ? 1 : 0;
                at = branch.landing();
                if (solved.place(at) >= solved.game().situations) {
                    break;
                }
            }
            PlaceKind kind = solved.kinds()[solved.place(at)];
            ended.merge(kind, 1, Integer::sum);
            here.forEach((id, both) -> {
                double[] sum = seen.computeIfAbsent(kind, k -> new HashMap<>()).computeIfAbsent(id, i -> new double[2]);
                sum[0] += both[0];
                sum[1] += both[1];
            });
        }
        ExpectedCounts expected = new ExpectedCounts(solved);
        assertThat(ended.keySet()).contains(OUT, PlaceKind.TAP);
        seen.forEach((kind, sums) -> {
            Counts counts = expected.of(round("pinned", kind, null, null)).orElseThrow();
            sums.forEach((id, both) -> {
                assertThat(counts.tries(id)).as("%s to %s", id, kind).isCloseTo(both[0] / ended.get(kind), within(0.02));
                assertThat(counts.going(id)).isCloseTo(both[1] / ended.get(kind), within(0.02));
            });
        });
    }

    @Test
    void whatCannotBeCountsNothing() {
        ExpectedCounts expected = new ExpectedCounts(straight());
        assertThat(expected.of(round("nowhere", OUT, null, null))).isEmpty();
        assertThat(expected.of(round("first", PlaceKind.STANDING, null, null))).as("no way leads there").isEmpty();
        Event.Round held = round("first", OUT, null, null);
        assertThat(expected.of(new Event.Round(held.id(), held.at(), held.person(), held.partner(), held.start(), held.side(), Ending.STILL_HELD,
                held.seconds(), held.reaction(), held.response(), held.gap()))).isEmpty();
    }

    @Test
    void aClockThatRanOutIsSeenAsSuch() {
        Event.Round one = round("pinned", PlaceKind.TAP, null, null);
        Counts counts = new ExpectedCounts(looping()).of(new Event.Round(one.id(), one.at(), one.person(), one.partner(), one.start(), one.side(),
                new Ending(Optional.of(PlaceKind.TAP), Optional.of(Id.of("tap"))), Optional.of(8), one.reaction(), one.response(), one.gap())).orElseThrow();
        assertThat(counts.runs(Id.of("pinned"))).isEqualTo(1);
        assertThat(counts.seconds(Id.of("pinned"))).isEqualTo(8);
        assertThat(counts.tries(Id.of("r1"))).isZero();
    }
}
