package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReadingDeckTest {

    /** Three places with one answer each and a trigger; a fourth answer, in the first place, without one. */
    private static PracticeGraph graph() {
        MapFixture fixture = new MapFixture().situation("low").situation("high").situation("side");
        Map<String, Double> works = new LinkedHashMap<>();
        works.put("low", 0.8);
        works.put("high", 0.6);
        works.put("side", 0.5);
        works.forEach((place, often) -> fixture.reaction(place, often, 0, Map.of(), Optional.of("tap"), "win"));
        EscapeMap map = fixture.reaction("low", 0.3, 0, Map.of(), Optional.of("tap"), "win").map();
        for (String technique : List.of("bridge", "elbow", "turn", "push")) {
            map = map.with(Technique.named(Id.of(technique), technique));
        }
        String[] techniques = {"bridge", "elbow", "turn", "push"};
        String[] cues = {"They lean", "They climb", "They lie across", ""};
        for (int i = 0; i < techniques.length; i++) {
            Reaction r = map.reactions().get(i);
            map = map.with(new Reaction(r.id(), r.from(), Id.of(techniques[i]), cues[i], "", r.needs(), r.seconds(), r.works(),
                    r.stuffed(), r.responses()));
        }
        return PracticeGraph.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("win"))), HouseTimes.USUAL);
    }

    @Test
    void everyCueHasOneRightAnswerAmongOthers() {
        List<ReadingCard> deck = ReadingDeck.of(graph(), 20, 1);
        assertThat(deck).as("those with a trigger, each once").extracting(c -> c.reaction().value())
                .containsExactlyInAnyOrder("r1", "r2", "r3");
        for (ReadingCard card : deck) {
            assertThat(card.choices()).filteredOn(ReadingCard.Choice::right).hasSize(1);
            assertThat(card.choices()).extracting(ReadingCard.Choice::technique).doesNotHaveDuplicates();
            assertThat(card.choices()).hasSizeBetween(2, 4);
        }
        assertThat(deck).extracting(c -> c.choices().size()).as("so that times can be fitted").contains(2, 3);
    }

    /** By hand: a third of the rounds start low; the other answer there loses half of a hundred. */
    @Test
    void thePriceIsWhatReadingItWrongLoses() {
        ReadingCard low = ReadingDeck.of(graph(), 3, 4).stream().filter(c -> c.situation().equals(Id.of("low"))).findFirst().orElseThrow();
        assertThat(low.price()).isCloseTo((0.8 - 0.3) / 3, within(1e-6));
        assertThat(low.choices()).filteredOn(c -> c.technique().equals(Id.of("push"))).singleElement()
                .satisfies(c -> assertThat(c.worth()).isCloseTo(0.3, within(1e-6)));
    }

    @Test
    void whatCostsMoreComesSooner() {
        int[] first = new int[3];
        for (int seed = 0; seed < 300; seed++) {
            first[ReadingDeck.of(graph(), 1, seed).get(0).reaction().value().charAt(1) - '1']++;
        }
        assertThat(first[0]).as("0.5 of a third against 0.6 and 0.5").isGreaterThan(50);
        assertThat(first[1]).isGreaterThan(first[2] - 30);
        assertThat(ReadingDeck.of(graph(), 3, 9)).isEqualTo(ReadingDeck.of(graph(), 3, 9));
        assertThatThrownBy(() -> ReadingDeck.of(graph(), 0, 1)).isInstanceOf(RefusedException.class);
    }

    /** By hand: what is all forgotten comes three times as often as it did beside the others. */
    @Test
    void whatIsForgottenComesMoreOften() {
        int times = 0;
        int before = 0;
        int seeds = 400;
        for (int seed = 0; seed < seeds; seed++) {
            before += ReadingDeck.of(graph(), 1, seed).get(0).reaction().equals(Id.of("r3")) ? 1 : 0;
            times += ReadingDeck.of(graph(), Map.of(Id.of("r3"), 1.0), 1, seed).get(0).reaction().equals(Id.of("r3")) ? 1 : 0;
        }
        double share = (double) before / seeds;
        assertThat((double) times / seeds).isCloseTo(3 * share / (1 + 2 * share), within(0.06));
        assertThatThrownBy(() -> ReadingDeck.of(graph(), Map.of(Id.of("r3"), 1.5), 1, 1)).isInstanceOf(RefusedException.class);
    }
}
