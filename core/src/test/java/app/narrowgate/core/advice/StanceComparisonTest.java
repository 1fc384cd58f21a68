package app.narrowgate.core.advice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Two stances, one worth 0.8 and one worth 0.3, worked by hand. */
class StanceComparisonTest {

    private static final Id HAND = Id.of("hand");
    private static final Id LOW = Id.of("low");
    private static final Id HIGH = Id.of("high");

    private static EscapeMap map() {
        EscapeMap map = new MapFixture().situation("pin").reaction("pin", 0.8, "win").reaction("pin", 0.3, "win").map();
        map = map.with(new Principle(HAND, "Hand", List.of(new Principle.Stance(LOW, "Low"),
                new Principle.Stance(HIGH, "High"))));
        return taking(taking(map, 0, LOW), 1, HIGH);
    }

    private static EscapeMap taking(EscapeMap map, int reaction, Id stance) {
        Reaction r = map.reactions().get(reaction);
        Technique technique = new Technique(stance, "Technique " + stance, List.of(), List.of(), List.of(), List.of(), List.of(),
                List.of(), Optional.of(new StanceRef(HAND, stance)), Level.NOVICE, true, Set.of(), Set.of());
        return map.with(technique).with(Reaction.answer(r.id(), r.from(), stance, r.needs(), r.seconds(), r.works(),
                r.stuffed(), r.responses()));
    }

    @Test
    void saysWhatEachIsWorthAndWhatLeaves() {
        // One try each, a stuffed one may be tried again: without a clock every answer wins in the end, so aim at once.
        EscapeMap map = map();
        for (Reaction r : map.reactions()) {
            map = map.with(Reaction.answer(r.id(), r.from(), r.technique(), r.needs(), r.seconds(), r.works(),
                    Optional.of(Id.of("tap")), r.responses()));
        }
        StanceComparison hand = StanceComparison.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("win")))).get(0);

        assertThat(hand.byCondition()).isCloseTo(0.8, within(1e-6));
        assertThat(hand.chosen()).isEmpty();
        assertThat(hand.choices()).extracting(StanceComparison.Choice::stance).containsExactly(LOW, HIGH);
        StanceComparison.Choice high = hand.choices().get(1);
        assertThat(high.start()).isCloseTo(0.3, within(1e-6));
        assertThat(high.leaves()).containsExactly(Id.of("r1"));
        assertThat(high.teaches()).containsExactly(Id.of("r2"));
        assertThat(high.situations().get(Id.of("pin"))).isCloseTo(-0.5, within(1e-6));
    }

    @Test
    void namesTheChosenOne() {
        Setting setting = Setting.of(Id.of("win")).withStances(Map.of(HAND, HIGH));
        assertThat(StanceComparison.of(SolvedMap.of(MapIndex.of(map()), setting)).get(0).chosen()).contains(HIGH);
    }
}
