package app.narrowgate.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.Side;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;

/** Added up by hand. */
class LedgerTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 28);
    private static final Id BRIDGE = Id.of("bridge");

    private static Repeated counted(int daysAgo, Side side, Role role, int many, int clean) {
        return new Repeated(TODAY.minusDays(daysAgo), BRIDGE, Optional.ofNullable(side), role, many, OptionalInt.of(clean), true);
    }

    @Test
    void addsUpByDaysAndYearsSidesAndRoles() {
        Ledger ledger = Ledger.of(List.of(counted(0, Side.LEFT, Role.FIRST, 10, 7), counted(27, Side.RIGHT, Role.FIRST, 30, 30),
                counted(28, Side.LEFT, Role.FIRST, 5, 5), counted(364, null, Role.FIRST, 2, 0), counted(365, Side.LEFT, Role.FIRST, 100, 0),
                counted(3, Side.LEFT, Role.SECOND, 40, 40), counted(-1, Side.LEFT, Role.FIRST, 999, 0)), TODAY).get(0);
        assertThat(ledger.lately().all()).isEqualTo(40);
        assertThat(ledger.lately().done()).containsEntry(Side.LEFT, 10.0).containsEntry(Side.RIGHT, 30.0);
        assertThat(ledger.lately().clean()).isEqualTo(new Tries(40, 37));
        assertThat(ledger.lately().fed()).isEqualTo(40);
        assertThat(ledger.lately().shorter()).contains(Side.LEFT);
        assertThat(ledger.year().all()).as("with those of which nobody said the side").isEqualTo(47);
        assertThat(ledger.ever().all()).isEqualTo(147);
        assertThat(ledger.ever().shorter()).contains(Side.RIGHT);
        assertThat(ledger.ever().counted()).isEqualTo(147);
    }

    /** By hand: eight minutes less two of showing, two techniques, four seconds and two for the partner and eight back: 12.86 each, in quarters. */
    @Test
    void theMinutesOfAClassComeToAboutSoMany() {
        double minutes = Repeated.minutes(Section.NEW, 8, 2);
        assertThat(minutes).isEqualTo(3);
        List<Repeated> about = Repeated.about(TODAY, BRIDGE, minutes, 4);
        assertThat(about).hasSize(4).allSatisfy(one -> {
            assertThat(one.many()).isCloseTo(180 / 14.0 / 4, within(1e-12));
            assertThat(one.counted()).isFalse();
            assertThat(one.clean()).isEmpty();
        });
        Ledger ledger = Ledger.of(about, TODAY).get(0);
        assertThat(ledger.lately().all()).isCloseTo(ledger.lately().fed(), within(1e-12));
        assertThat(ledger.lately().counted()).isZero();
        assertThat(ledger.lately().shorter()).isEmpty();
        assertThat(Repeated.minutes(Section.TALK, 8, 2)).isZero();
        assertThat(Repeated.minutes(Section.NEW, 1, 1)).as("it was only shown").isZero();
        assertThat(Repeated.minutes(Section.LIVE, 8, 2)).isZero();
        assertThat(Repeated.minutes(Section.CHAIN, 8, 0)).isZero();
    }

    @Test
    void whatWasDoneMostComesFirst() {
        List<Repeated> all = new ArrayList<>(Repeated.about(TODAY, Id.of("frame"), 30, 3));
        all.add(counted(1, Side.LEFT, Role.FIRST, 5, 5));
        assertThat(Ledger.of(all, TODAY)).extracting(Ledger::technique).containsExactly(Id.of("frame"), BRIDGE);
        assertThat(Ledger.of(List.of(), TODAY)).isEmpty();
    }

    @Test
    void cleanOnesAreNotMoreThanThereWere() {
        assertThatThrownBy(() -> counted(0, Side.LEFT, Role.FIRST, 4, 5)).isInstanceOf(RefusedException.class).hasMessageContaining("clean");
    }
}
