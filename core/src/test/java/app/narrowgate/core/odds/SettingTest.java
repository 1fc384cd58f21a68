package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SettingTest {

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -0.01, 1.01, Double.POSITIVE_INFINITY})
    void refusesAReadThatIsNoChance(double read) {
        assertThatThrownBy(() -> Setting.of(Id.of("even")).withRead(read))
                .hasMessageContaining("must lie between 0 and 1");
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -1, 31})
    void refusesALateStartOutside(double late) {
        assertThatThrownBy(() -> Setting.of(Id.of("even")).withLate(late)).hasMessageContaining("between 0 and 30");
    }

    @Test
    void namesTheAimsThereAre() {
        assertThatThrownBy(() -> OddsSolver.solve(MapIndex.of(new MapFixture().map()), Setting.of(Id.of("gold"))))
                .hasMessageContaining("gold").hasMessageContaining("even");
    }
}
