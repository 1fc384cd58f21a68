package app.narrowgate.core.person;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PairingTest {

    private static final LocalDate DAY = LocalDate.of(2026, 3, 10);

    private static Ailment knee(LocalDate from, LocalDate until) {
        return new Ailment(Injury.KNEE, Optional.ofNullable(from), Optional.ofNullable(until), "no heel hooks");
    }

    /** By hand: 91 − 62 and 188 − 171. */
    @Test
    void theGapIsTheirsLessYours() {
        Pairing pairing = Pairing.of(PersonLine.read("Wren, 62, 171, beginner"), Set.of(Injury.KNEE), PersonLine.read("Bram, 91, 188, experienced"));
        assertThat(pairing.weightGap()).contains(29.0);
        assertThat(pairing.heightGap()).contains(17.0);
        assertThat(pairing.level()).as("of the one below").contains(Level.NOVICE);
        assertThat(pairing.injuries()).containsExactly(Injury.KNEE);
        Pairing turned = Pairing.of(PersonLine.read("Bram, 91, 188, experienced"), Set.of(), PersonLine.read("Wren, 62, 171, beginner"));
        assertThat(turned.weightGap()).contains(-29.0);
        assertThat(turned.heightGap()).contains(-17.0);
        assertThat(turned.level()).contains(Level.ADVANCED);
    }

    @Test
    void whatIsNotKnownOfBothIsLeftOpen() {
        Pairing pairing = Pairing.of(PersonLine.read("Wren, 62 kg"), Set.of(), PersonLine.read("Bram, 188 cm"));
        assertThat(pairing.weightGap()).isEmpty();
        assertThat(pairing.heightGap()).isEmpty();
        assertThat(pairing.level()).isEmpty();
    }

    @Test
    void gapsBeyondWhatIsReckonedAreTheWidestThere() {
        assertThat(Pairing.of(PersonLine.read("A, 20 kg"), Set.of(), PersonLine.read("B, 240 kg")).weightGap()).contains(150.0);
    }

    @Test
    void childrenAreTwoChildren() {
        Person child = PersonLine.read("A, child");
        Person adult = PersonLine.read("B");
        assertThat(Pairing.of(child, Set.of(), child).age()).isEqualTo(AgeGroup.CHILDREN);
        assertThat(Pairing.of(child, Set.of(), adult).age()).isEqualTo(AgeGroup.ADULTS);
        assertThat(Pairing.mixesAges(child, adult)).isTrue();
        assertThat(Pairing.mixesAges(child, child)).isFalse();
    }

    @Test
    void anAilmentHoldsFromItsFirstToItsLastDay() {
        Ailment ailment = knee(DAY, DAY.plusDays(2));
        assertThat(List.of(DAY.minusDays(1), DAY, DAY.plusDays(2), DAY.plusDays(3))).extracting(ailment::isOn)
                .containsExactly(false, true, true, false);
        assertThat(knee(null, null).isOn(DAY)).isTrue();
        assertThat(Ailment.on(DAY, List.of(knee(null, DAY.minusDays(1)), new Ailment(Injury.NECK, Optional.of(DAY), Optional.empty(), ""))))
                .containsExactly(Injury.NECK);
        assertThatThrownBy(() -> knee(DAY, DAY.minusDays(1))).isInstanceOf(RefusedException.class).hasMessageContaining("before it begins");
    }
}
