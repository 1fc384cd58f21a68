package app.narrowgate.core.lesson;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.drill.Role;
import app.narrowgate.core.trait.Side;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A part's minutes by the clock. */
class TurnsTest {

    @ParameterizedTest
    @EnumSource(value = Section.class, names = {"RECALL", "NEW", "CHAIN", "CALLED", "LIVE"})
    void everyMinuteIsUsedAndBothAreBelowEquallyLong(Section section) {
        for (int minutes = 1; minutes <= 60; minutes++) {
            Turns turns = Turns.of(section, minutes);
            int worked = turns.turns().stream().mapToInt(turn -> turn.seconds() + Turns.CHANGE).sum();
            assertThat(turns.showing() + worked).isEqualTo(minutes * 60);
            for (Side side : Side.values()) {
                assertThat(below(turns, side, Role.FIRST)).isEqualTo(below(turns, side, Role.SECOND));
            }
            assertThat(turns.turns()).allSatisfy(turn -> assertThat(turn.seconds()).isBetween(15, 300));
        }
    }

    private static int below(Turns turns, Side side, Role bottom) {
        return turns.turns().stream().filter(turn -> turn.side() == side && turn.bottom() == bottom).mapToInt(Turns.Turn::seconds).sum();
    }

    /** Nine minutes: two are shown, seven make four turns of 95 s with 10 s before each. */
    @Test
    void nineMinutesOfSomethingNew() {
        Turns turns = Turns.of(Section.NEW, 9);
        assertThat(turns.showing()).isEqualTo(120);
        assertThat(turns.turns()).hasSize(4).allSatisfy(turn -> assertThat(turn.seconds()).isEqualTo(95));
    }

    /** Sixteen minutes live: one is for the rule, fifteen make three bouts of two turns, each with another partner. */
    @Test
    void partnersChangeBetweenTheBoutsOfALivePart() {
        Turns turns = Turns.of(Section.LIVE, 16);
        assertThat(Turns.bouts(16)).isEqualTo(3);
        assertThat(turns.turns()).extracting(Turns.Turn::bout).containsExactly(0, 0, 1, 1, 2, 2);
        assertThat(turns.turns()).extracting(Turns.Turn::seconds).containsOnly(140);
    }

    @Test
    void aMinuteOfSomethingNewIsOnlyShown() {
        assertThat(Turns.of(Section.NEW, 1).turns()).isEmpty();
        assertThat(Turns.of(Section.NEW, 1).showing()).isEqualTo(60);
    }
}
