package app.narrowgate.core.movingup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.ledger.Tries;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GateTest {

    private static Evidence live(int of, int out) {
        return new Evidence(new Tries(of, out), Tries.NONE, Optional.empty());
    }

    /** By hand: chance above a half by the binomial tail of one more round, as a beta of whole numbers is. 3 of 4: 26 of 32; 5 of 7: 219 of 256. */
    @ParameterizedTest
    @CsvSource({"0,0,TOO_LITTLE,3", "2,2,TOO_LITTLE,1", "3,3,ENOUGH,0", "3,2,NOT_YET,1", "4,3,ENOUGH,0", "4,2,NOT_YET,3", "3,0,NOT_YET,6"})
    void outMoreOftenThanNotFourToOne(int of, int out, Evidence.Says says, int missing) {
        assertThat(live(of, out).says()).isEqualTo(says);
        assertThat(live(of, out).missing()).isEqualTo(missing);
        assertThat(live(of + missing, out + missing).says()).isEqualTo(Evidence.Says.ENOUGH);
    }

    @Test
    void aGateEveningBeginsWhereMostHaveSomethingToShow() {
        Gate.Decision shown = new Gate.Decision(true, "");
        Gate.Decision notYet = new Gate.Decision(false, "The frame comes late.");
        Map<UUID, List<Gate>> here = new LinkedHashMap<>();
        here.put(new UUID(0, 1), List.of(new Gate(Id.of("mount"), Side.LEFT, live(3, 3), Optional.of(shown)),
                new Gate(Id.of("mount"), Side.RIGHT, live(3, 1), Optional.of(notYet)), new Gate(Id.of("side"), Side.LEFT, live(2, 2), Optional.empty())));
        here.put(new UUID(0, 2), List.of(new Gate(Id.of("side"), Side.RIGHT, Evidence.NONE, Optional.empty()),
                new Gate(Id.of("back"), Side.LEFT, live(3, 2), Optional.empty())));
        assertThat(Gate.open(here)).as("two have the side; the back needs one round, the mount more")
                .containsExactly(Id.of("side"), Id.of("back"), Id.of("mount"));
        assertThat(Gate.open(Map.of())).isEmpty();
    }

    @Test
    void theMapAsksForThePlacesInWhichAnsweringBringsMost() {
        MapIndex map = MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("empty").situation("seldom").situation("often").start("often")
                .situation("never").reaction("often", 0.5, "guard").reaction("seldom", 0.9, "guard").reaction("never", 0.9, "guard").map());
        GateList list = GateList.suggested(Level.NOVICE, SolvedMap.of(map, Setting.of(Id.of("even"))));
        assertThat(list.places()).as("rounds begin in no other, and one is empty").containsExactly(Id.of("often"));
    }

    @Test
    void nobodyMovesUpFromTheLastLevel() {
        assertThat(GateList.to(Level.NOVICE)).contains(Level.INTERMEDIATE);
        assertThat(GateList.to(Level.ADVANCED)).isEmpty();
        assertThatThrownBy(() -> new GateList(Level.ADVANCED, List.of())).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new GateList(Level.NOVICE, List.of(Id.of("mount"), Id.of("mount")))).isInstanceOf(RefusedException.class)
                .hasMessageContaining("each once");
    }
}
