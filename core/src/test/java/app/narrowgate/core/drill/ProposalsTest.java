package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What is worth drilling, and what of it was a hole before; the maps are small enough to say by hand. */
class ProposalsTest {

    private static MapFixture fixture() {
        return new MapFixture().resting("guard", PlaceKind.GUARD).feeds("guard", "pinned").situation("pinned", 4, "held")
                .situation("held", 5, "tap").start("pinned");
    }

    private static EscapeMap then() {
        return fixture()
                .reaction("pinned", 0.6, 2, Map.of(), "guard*3", "*1")
                .reaction("held", 0.3, "pinned")
                .map();
    }

    private static EscapeMap now() {
        return fixture().situation("later", 5, "tap")
                .reaction("pinned", 0.6, 2, Map.of(), "guard*3", "held*1", "later*1")
                .reaction("held", 0.3, "pinned")
                .reaction("held", 0.5, "guard", "")
                .reaction("later", 0.4, "guard")
                .map();
    }

    private static LinkRef link(String reaction, int response) {
        return new LinkRef(Id.of(reaction), Id.of(reaction + "-" + response));
    }

    private static PracticeGraph graph(EscapeMap map) {
        return PracticeGraph.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("even"))), HouseTimes.USUAL);
    }

    @Test
    void whatIsAnsweredNowAndWasNotThenWasMendedButANewPlaceWasNoHole() {
        assertThat(AnsweredLately.since(then(), MapIndex.of(now())))
                .as("a response answered, one written down, an answer added; not what starts in the new place")
                .containsExactlyInAnyOrder(link("r1", 2), link("r1", 3), link("r3", 1));
        assertThat(AnsweredLately.since(now(), MapIndex.of(now()))).isEmpty();
        assertThat(AnsweredLately.since(now(), MapIndex.of(then()))).as("a hole made again is not mended").isEmpty();
    }

    @Test
    void aMistakeIsNotDrilledThoughItIsNew() {
        EscapeMap told = fixture().reaction("pinned", 0.6, 2, Map.of(), "guard*3", "*1")
                .reaction("held", 0.3, "pinned").wrong("pinned", 0.5, "held").map();
        assertThat(AnsweredLately.since(then(), MapIndex.of(told))).isEmpty();
    }

    @Test
    void theDrillOfAMendedHoleHoldsWhatIsNewAndTakesThePlaceOfTheUsualOne() {
        PracticeGraph graph = graph(now());
        List<Proposal> without = Proposals.of(graph);
        List<Proposal> with = Proposals.of(graph, AnsweredLately.since(then(), MapIndex.of(now())));
        assertThat(without).extracting(Proposal::focus).doesNotContain(Proposal.Focus.ANSWERED_LATELY);
        assertThat(with).filteredOn(p -> p.focus() == Proposal.Focus.ANSWERED_LATELY)
                .extracting(p -> p.place().value()).containsExactlyInAnyOrder("pinned", "held");
        assertThat(with).filteredOn(p -> p.focus() == Proposal.Focus.PLACE)
                .extracting(p -> p.place().value()).doesNotContain("pinned", "held");
        Drill held = with.stream().filter(p -> p.focus() == Proposal.Focus.ANSWERED_LATELY && p.place().equals(Id.of("held")))
                .findFirst().orElseThrow().drill();
        assertThat(held.links()).as("what is new first").startsWith(link("r3", 1)).contains(link("r2", 1));
        assertThat(with).extracting(Proposal::gain).isSortedAccordingTo((a, b) -> Double.compare(b, a)).allMatch(gain -> gain > 0);
    }

    @Test
    void whatMostHangsOnStaysNamedSoThoughItWasMended() {
        PracticeGraph graph = graph(now());
        Id gate = Proposals.of(graph).stream().filter(p -> p.focus() == Proposal.Focus.NARROW_GATE).findFirst().orElseThrow().place();
        assertThat(Proposals.of(graph, AnsweredLately.since(then(), MapIndex.of(now()))))
                .filteredOn(p -> p.place().equals(gate)).extracting(Proposal::focus).contains(Proposal.Focus.NARROW_GATE);
    }
}
