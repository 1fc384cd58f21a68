package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.trait.Side;
import java.util.Collections;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DrillSheetMakerTest {

    private final MapIndex index = MapIndex.of(new MapFixture().situation("a").situation("empty")
            .reaction("a", 0.4, "win*1", "tap*5", "*2")
            .reaction("a", 0.9, "win*6", "tap*1").map());
    private final Odds odds = OddsSolver.solve(index, Setting.of(Id.of("even")));

    private DrillSheet sheet(double minutes, int links) {
        return DrillSheetMaker.make(index, odds, new DrillRequest(Id.of("a"), minutes, links, Side.RIGHT, 5));
    }

    @Test
    void drillsTheBestReactionAndItsLikeliestResponseFirst() {
        assertThat(sheet(10, 3).links()).extracting(l -> l.response().value())
                .containsExactly("r2-1", "r2-2", "r1-2");
    }

    @Test
    void bothSidesAndBothRolesGetTheSameWorkWeakSideFirst() {
        DrillSheet sheet = sheet(10, 2);
        assertThat(sheet.blocks()).extracting(DrillBlock::side)
                .containsExactly(Side.RIGHT, Side.RIGHT, Side.LEFT, Side.LEFT);
        assertThat(sheet.blocks()).extracting(DrillBlock::bottom)
                .containsExactly(Role.FIRST, Role.SECOND, Role.FIRST, Role.SECOND);
        sheet.blocks().forEach(block -> {
            for (int link = 0; link < 2; link++) {
                assertThat(Collections.frequency(block.calls(), link)).isEqualTo(sheet.repetitions());
            }
        });
    }

    @Test
    void staysWithinTheTime() {
        DrillSheet sheet = sheet(10, 2);
        double oneMore = sheet.minutes() * (sheet.repetitions() + 1) / sheet.repetitions();
        assertThat(sheet.minutes()).isLessThanOrEqualTo(10);
        assertThat(oneMore).isGreaterThan(10);
    }

    @Test
    void anUnansweredResponseIsNotDrilled() {
        assertThat(sheet(20, 6).links()).hasSize(4).noneMatch(l -> l.response().equals(Id.of("r1-3")));
    }

    @Test
    void saysWhatToDoWhenNothingCanBeDrilled() {
        DrillRequest request = new DrillRequest(Id.of("empty"), 10, 2, Side.LEFT, 1);
        assertThatThrownBy(() -> DrillSheetMaker.make(index, odds, request)).hasMessageContaining("Add one on the map");
        assertThatThrownBy(() -> sheet(1, 4)).hasMessageContaining("take more time or fewer links");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, 0, 61, -5})
    void refusesTimesOutside(double minutes) {
        assertThatThrownBy(() -> sheet(minutes, 2)).hasMessageContaining("between 1 and 60 minutes");
    }
}
