package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

class RotationOfThreeTest {

    @Test
    void everybodyGetsTheSame() {
        List<RotationOfThree.Turn> turns = RotationOfThree.of(18);
        for (int end = 3; end <= 18; end += 3) {
            int so = end;
            for (int who = 0; who < 3; who++) {
                int person = who;
                assertThat(turns.subList(0, so)).filteredOn(t -> t.bottom() == person).hasSize(so / 3);
                assertThat(turns.subList(0, so)).filteredOn(t -> t.feeder() == person).hasSize(so / 3);
                assertThat(turns.subList(0, so)).filteredOn(t -> t.rests() == person).hasSize(so / 3);
            }
        }
        assertThat(turns).allMatch(t -> Set.of(t.bottom(), t.feeder(), t.rests()).size() == 3);
        assertThat(turns.subList(0, 6)).as("each feeds each").extracting(t -> 3 * t.feeder() + t.bottom()).doesNotHaveDuplicates();
        assertThatThrownBy(() -> RotationOfThree.of(0)).isInstanceOf(RefusedException.class);
    }
}
