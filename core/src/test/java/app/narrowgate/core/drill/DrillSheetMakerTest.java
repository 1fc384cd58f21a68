package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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

    private static DrillSheet sheet(EscapeMap map, Matchup matchup, String place) {
        MapIndex index = MapIndex.of(map);
        Odds odds = OddsSolver.solve(index, Setting.of(Id.of("even")).withMatchup(matchup));
        return DrillSheetMaker.make(index, odds, new DrillRequest(Id.of(place), 20, 6, Side.LEFT, 5));
    }

    private static MapFixture pair() {
        return new MapFixture().resting("guard", PlaceKind.GUARD).situation("a").situation("b")
                .reaction("b", 1, "win").reaction("a", 1, "guard", "b", "win", "tap");
    }

    /** A loss is never the end of a line, and a place of rest not of a chain. */
    @Test
    void everyLineSaysWhatComesNext() {
        EscapeMap bare = pair().map();
        assertThat(sheet(bare, Matchup.EVEN, "a").links()).extracting(l -> l.next().kind()).containsExactlyInAnyOrder(
                NextStep.Kind.RESET, NextStep.Kind.GO_ON, NextStep.Kind.RESET, NextStep.Kind.LET_GO);
        EscapeMap told = bare.with(MapIndex.of(bare).situation(Id.of("guard")).orElseThrow().withFeeds(List.of(Id.of("a"))))
                .with(new Outcome(Id.of("win"), "On top", PlaceKind.REVERSAL, Optional.of(Id.of("b"))));
        DrillSheet sheet = sheet(told, Matchup.EVEN, "a");
        assertThat(sheet.links()).extracting(l -> l.landing().value(), DrillLink::next).containsExactlyInAnyOrder(
                tuple("guard", new NextStep(NextStep.Kind.FEED, Optional.of(Id.of("a")), Optional.of(Id.of("r2")))),
                tuple("b", new NextStep(NextStep.Kind.GO_ON, Optional.of(Id.of("b")), Optional.of(Id.of("r1")))),
                tuple("win", new NextStep(NextStep.Kind.SWAP, Optional.of(Id.of("b")), Optional.empty())),
                tuple("tap", new NextStep(NextStep.Kind.LET_GO, Optional.empty(), Optional.empty())));
    }

    @Test
    void nobodyClosesAFinishOnAChild() {
        EscapeMap map = pair().map();
        Situation late = MapIndex.of(map).situation(Id.of("b")).orElseThrow();
        Matchup children = new Matchup(Id.of("c"), "Children", 0, 0, false, Occasion.SPORT, AgeGroup.CHILDREN, Level.NOVICE,
                Set.of(), Map.of());
        EscapeMap closing = map.with(Situation.of(late.id(), late.title(), late.family(), Stage.LAST_CHANCE, late.held(),
                late.facts(), late.clock(), late.entry(), late.rest())).with(new Hold(Id.of("choke"), "Choke", Hold.Kind.FINISH,
                        List.of(Id.of("b")), new Requirement.Need(Id.of("arm"), "The arm is deep", 1, Set.of())));
        assertThat(sheet(closing, children, "a").links()).extracting(l -> l.landing().value())
                .containsExactlyInAnyOrder("guard", "win");
        assertThat(sheet(closing, Matchup.EVEN, "a").links()).hasSize(4);
        assertThatThrownBy(() -> sheet(closing, children, "b")).hasMessageContaining("tap");
        assertThat(sheet(closing, Matchup.EVEN, "b").links()).hasSize(1);
    }

    /** Mistakes are never links; right and wrong come equally often where a partner is to spot them. */
    @Test
    void mistakesAreSpottedAndNotTrained() {
        DrillSheet sheet = sheet(new MapFixture().situation("a").reaction("a", 1, "win", "tap").wrong("a", 1, "tap").map(),
                Matchup.EVEN, "a");
        assertThat(sheet.links()).allMatch(l -> l.reaction().equals(Id.of("r1")));
        assertThat(sheet.mistakes()).containsExactly(Id.of("r2"));
        assertThat(sheet.spotting()).containsExactlyInAnyOrder(0, 0, 1, 1, 2, 2);
        assertThat(sheet(10, 2).spotting()).isEmpty();
    }
}
