package app.narrowgate.core.held;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Bayes's rule worked by hand on three places. */
class LikelySituationsTest {

    private static final Id HEAD = Id.of("head-only");
    private static final Id HIPS = Id.of("hips-only");
    private static final Id BOTH = Id.of("both");
    private static final Id FACT = Id.of("gap");

    private final EscapeMap map = map();

    private static EscapeMap map() {
        EscapeMap map = new MapFixture().fact("gap").situation("head-only").situation("hips-only").situation("both")
                .situation("nowhere").map();
        return map.with(held(map, HEAD, Map.of(Segment.HEAD, "their arm"), Map.of(FACT, true)))
                .with(held(map, HIPS, Map.of(Segment.HIPS, "their seat"), Map.of(FACT, false)))
                .with(held(map, BOTH, Map.of(Segment.HEAD, "their arm", Segment.HIPS, "their seat"), Map.of()));
    }

    private static Situation held(EscapeMap map, Id id, Map<Segment, String> held, Map<Id, Boolean> facts) {
        Situation s = map.situations().stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
        return Situation.of(s.id(), s.title(), s.family(), s.stage().orElseThrow(), held, facts, s.clock(), s.entry(), s.rest());
    }

    private static double chance(LikelySituations judged, Id id) {
        return judged.likely().stream().filter(l -> l.situation().equals(id)).findFirst().orElseThrow().chance();
    }

    @Test
    void nothingSaidLeavesHowOftenRoundsComeThrough() {
        LikelySituations judged = LikelySituations.of(map, Marks.NONE, Map.of(HEAD, 9.0, HIPS, 1.0, BOTH, 16.0));
        assertThat(judged.likely()).extracting(LikelySituations.Likely::situation).containsExactly(BOTH, HEAD, HIPS);
        assertThat(chance(judged, HEAD)).isCloseTo(3 / 8.0, within(1e-12)); // roots 3, 1, 4
    }

    @Test
    void aMarkWeighsNineToOne() {
        LikelySituations judged = LikelySituations.of(map, new Marks(Map.of(Segment.HEAD, true), Map.of()), Map.of());
        // 0.9 : 0.1 : 0.9 over 1.9
        assertThat(chance(judged, HEAD)).isCloseTo(0.9 / 1.9, within(1e-12));
        assertThat(chance(judged, HIPS)).isCloseTo(0.1 / 1.9, within(1e-12));
    }

    @Test
    void aFactThatDependsSpeaksForNobody() {
        LikelySituations judged = LikelySituations.of(map, new Marks(Map.of(), Map.of(FACT, true)), Map.of());
        // 0.9 : 0.1 : 0.5 over 1.5
        assertThat(chance(judged, BOTH)).isCloseTo(0.5 / 1.5, within(1e-12));
        assertThat(chance(judged, HIPS)).isCloseTo(0.1 / 1.5, within(1e-12));
    }

    @Test
    void asksWhatTellsThemApart() {
        Marks headIsHeld = new Marks(Map.of(Segment.HEAD, true, Segment.TRUNK, false), Map.of());
        LikelySituations judged = LikelySituations.of(map, headIsHeld, Map.of());
        assertThat(judged.next()).hasValueSatisfying(q -> assertThat(q.segment()).contains(Segment.HIPS));
    }

    @Test
    void aPlaceWhereNothingIsHeldIsNoAnswer() {
        assertThat(LikelySituations.of(map, Marks.NONE, Map.of()).likely())
                .extracting(LikelySituations.Likely::situation).doesNotContain(Id.of("nowhere"));
    }

    @Test
    void anUnknownFactIsRefused() {
        Marks marks = new Marks(Map.of(), Map.of(Id.of("ghost"), true));
        assertThatThrownBy(() -> LikelySituations.of(map, marks, Map.of())).hasMessageContaining("ghost");
    }
}
