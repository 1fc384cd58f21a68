package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Aims that end a round at a place: "anywhere but the mount". */
class AimPlacesTest {

    private static final Id ANYWHERE_BUT = Id.of("anywhere-but");

    /** Half of the tries from the side end in the mount, out of which three in four find half guard. */
    private static EscapeMap map(Map<Id, Double> places) {
        return new MapFixture().resting("half", PlaceKind.HALF).situation("side").situation("mount", 3, "tap")
                .reaction("side", 1, "half", "mount").reaction("mount", 0.75, "half").map()
                .with(new Aim(ANYWHERE_BUT, "Anywhere but", Map.of(PlaceKind.HALF, 1.0), places));
    }

    private static Odds odds(EscapeMap map) {
        return OddsSolver.solve(MapIndex.of(map), Setting.of(ANYWHERE_BUT));
    }

    /** By hand: without the aim the mount is not the end of it; with it, coming there is. */
    @Test
    void whoComesThereHasLost() {
        assertThat(odds(map(Map.of())).at(Id.of("side")).worth()).isGreaterThan(0.8);
        Odds odds = odds(map(Map.of(Id.of("mount"), 0.0)));
        assertThat(odds.at(Id.of("side")).worth()).isCloseTo(0.5, within(1e-9));
        assertThat(odds.at(Id.of("mount")).worth()).isZero();
        assertThat(odds.at(Id.of("mount")).reactions().get(0).closedBy())
                .contains(new Closing(Closing.Kind.AIM, ANYWHERE_BUT.value()));
        assertThat(odds.at(Id.of("side")).neverEnds()).isZero();
    }

    /** An outcome may have a worth of its own, and a place more than its kind. */
    @Test
    void aPlaceMayBeWorthMoreThanItsKind() {
        Odds odds = odds(map(Map.of(Id.of("mount"), 0.4, Id.of("half"), 0.6)));
        assertThat(odds.at(Id.of("side")).worth()).isCloseTo(0.5, within(1e-9));
        assertThat(odds.at(Id.of("half")).worth()).isCloseTo(0.6, within(1e-9));
    }

    /** Taking reactions away from a solved map gives what solving the smaller one gives. */
    @Test
    void isStillOverWhereReactionsAreTakenAway() {
        SolvedMap solved = SolvedMap.of(MapIndex.of(map(Map.of(Id.of("mount"), 0.4))), Setting.of(ANYWHERE_BUT));
        SolvedMap without = solved.without(Set.of(Id.of("r1")));
        assertThat(without.worth(Id.of("mount"))).isCloseTo(0.4, within(1e-9));
        assertThat(without.worth(Id.of("side"))).isZero();
    }
}
