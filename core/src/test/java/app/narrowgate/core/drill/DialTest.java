package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Injury;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DialTest {

    /** A pin that holds the head, and a choke that is begun in one place and about to close in another. */
    private static MapIndex map() {
        EscapeMap map = new MapFixture().situation("pinned").situation("early", 4, "last").situation("last", 2, "tap")
                .reaction("pinned", 0.5, "win").reaction("early", 0.5, "win").reaction("last", 0.3, "win").map();
        map = map.with(at(map, "pinned", Stage.SETTLED, Map.of(Segment.HEAD, "forearm"))).with(at(map, "early", Stage.EARLY, Map.of()))
                .with(at(map, "last", Stage.LAST_CHANCE, Map.of()));
        return MapIndex.of(map.with(Hold.of(Id.of("choke"), "Choke", Hold.Kind.FINISH, List.of(Id.of("early"), Id.of("last")),
                Requirement.Need.of(Id.of("hands"), "Hands joined", 1, Set.of()))));
    }

    private static Situation at(EscapeMap map, String id, Stage stage, Map<Segment, String> held) {
        Situation one = map.situations().stream().filter(s -> s.id().equals(Id.of(id))).findFirst().orElseThrow();
        return Situation.of(one.id(), one.title(), one.family(), stage, held, one.facts(), one.clock(), one.entry(), one.rest());
    }

    private static PracticeGraph graph() {
        return PracticeGraph.of(SolvedMap.of(map(), Setting.of(Id.of("even"))), HouseTimes.USUAL);
    }

    private static Drill dial(String place) {
        return Drill.of("Dial", DrillKind.DIAL, Optional.of(Id.of(place)), List.of());
    }

    /** That nobody tightens a finish notch by notch: common practice, no source. */
    @Test
    void isNotTurnedWhereAFinishIsAboutToClose() {
        assertThatThrownBy(() -> DrillPlanner.plan(graph(), dial("last"))).isInstanceOf(RefusedException.class).hasMessageContaining("place before");
        assertThatThrownBy(() -> DrillRules.require(map(), dial("last"))).as("nor is it kept").isInstanceOf(ProblemsException.class);
        assertThat(DrillRules.problems(map(), dial("early"))).isEmpty();
        assertThat(DrillPlanner.plan(graph(), dial("early")).rounds()).isNotEmpty();
        assertThat(DrillPlanner.plan(graph(), Drill.of("Live", DrillKind.LIVE, Optional.of(Id.of("last")), List.of())).rounds())
                .as("another kind of drill may begin there").isNotEmpty();
    }

    /** Never on the neck: common practice, no source. */
    @Test
    void saysWhereTheHeadIsHeldThatItIsNotForTheHead() {
        assertThat(Dial.caution(map(), Id.of("pinned"))).get().asString().contains("head");
        assertThat(Dial.caution(map(), Id.of("early"))).isEmpty();
        assertThat(Dial.caution(map(), Id.of("nowhere"))).isEmpty();
    }

    @Test
    void whoIsHurtWhereItPressesIsNotBelow() {
        Set<Injury> hurt = Set.of(Injury.RIB, Injury.NECK, Injury.KNEE);
        assertThat(Dial.minds(map(), Id.of("pinned"), hurt)).containsExactlyInAnyOrder(Injury.RIB, Injury.NECK);
        assertThat(Dial.minds(map(), Id.of("early"), hurt)).containsExactly(Injury.RIB);
        assertThat(Dial.minds(map(), Id.of("pinned"), Set.of(Injury.ANKLE))).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"15, 1", "39, 1", "40, 2", "105, 5", "160, 8", "600, 8"})
    void aRoundHasSoManyNotches(int seconds, int notches) {
        assertThat(Dial.notches(seconds)).isEqualTo(notches);
    }
}
