package app.narrowgate.core.held;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import java.util.Map;
import java.util.Optional;
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
        LikelySituations judged = LikelySituations.of(map, new Marks(Optional.empty(), Map.of(Segment.HEAD, true), Map.of()), Map.of());
        // 0.9 : 0.1 : 0.9 over 1.9
        assertThat(chance(judged, HEAD)).isCloseTo(0.9 / 1.9, within(1e-12));
        assertThat(chance(judged, HIPS)).isCloseTo(0.1 / 1.9, within(1e-12));
    }

    @Test
    void aFactThatDependsSpeaksLittle() {
        LikelySituations judged = LikelySituations.of(map, new Marks(Optional.empty(), Map.of(), Map.of(FACT, true)), Map.of());
        // One place of three says it of itself, twice which is capped: 0.97 : 0.03 : 0.5.
        double unsaid = 0.5;
        assertThat(chance(judged, BOTH)).isCloseTo(unsaid / (1 + unsaid), within(1e-12));
        assertThat(chance(judged, HIPS)).isCloseTo(0.03 / (1 + unsaid), within(1e-12));
    }

    @Test
    void asksWhatTellsThemApart() {
        Marks headIsHeld = new Marks(Optional.empty(), Map.of(Segment.HEAD, true, Segment.TRUNK, false), Map.of());
        LikelySituations judged = LikelySituations.of(map, headIsHeld, Map.of());
        assertThat(judged.next()).hasValueSatisfying(q -> assertThat(q.segment()).contains(Segment.HIPS));
    }

    /** Where they are is asked before all else, and tells more than any other mark. */
    @Test
    void whereTheyAreComesFirst() {
        EscapeMap told = map.with(at(HEAD, Bearing.ABOVE)).with(at(HIPS, Bearing.ASTRIDE));
        assertThat(LikelySituations.of(told, Marks.NONE, Map.of()).next())
                .hasValueSatisfying(q -> assertThat(q.bearing()).isTrue());
        LikelySituations judged = LikelySituations.of(told, new Marks(Optional.of(Bearing.ASTRIDE),
                Map.of(Segment.HEAD, true), Map.of()), Map.of());
        // Above is next to across alone: 0.03 / 5 · 0.9 : 0.85 · 0.1 : 1 / 7 · 0.9.
        double sum = 0.006 * 0.9 + 0.85 * 0.1 + 0.9 / 7;
        assertThat(chance(judged, HIPS)).isCloseTo(0.85 * 0.1 / sum, within(1e-12));
        assertThat(judged.next().map(LikelySituations.Question::bearing)).isNotEqualTo(Optional.of(true));
    }

    private Situation at(Id id, Bearing bearing) {
        Situation s = map.situations().stream().filter(t -> t.id().equals(id)).findFirst().orElseThrow();
        return new Situation(s.id(), s.title(), s.family(), s.stage(), Optional.of(bearing), s.held(), s.facts(), s.clock(),
                s.entry(), s.rest(), s.feeds(), s.notes(), s.posture());
    }

    @Test
    void aPlaceWhereNothingIsHeldIsNoAnswer() {
        assertThat(LikelySituations.of(map, Marks.NONE, Map.of()).likely())
                .extracting(LikelySituations.Likely::situation).doesNotContain(Id.of("nowhere"));
    }

    @Test
    void anUnknownFactIsRefused() {
        Marks marks = new Marks(Optional.empty(), Map.of(), Map.of(Id.of("ghost"), true));
        assertThatThrownBy(() -> LikelySituations.of(map, marks, Map.of())).hasMessageContaining("ghost");
    }
}
