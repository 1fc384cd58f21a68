package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.fixture.RandomMaps;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What goes out about one place tells all of it and nothing of the others but their names. */
class ExcerptTest {

    private static final int MAPS = 40;

    @Test
    void whateverThePlaceLeadsToHasItsName() {
        for (int seed = 0; seed < MAPS; seed++) {
            MapIndex map = MapIndex.of(RandomMaps.map(new Random(seed), 8, 3, 3));
            for (Situation situation : map.map().situations()) {
                MapIndex excerpt = MapIndex.of(Excerpt.of(map, situation.id()));
                assertThat(excerpt.reactionsFrom(situation.id())).isEqualTo(map.reactionsFrom(situation.id()));
                Set<Id> leads = new HashSet<>();
                situation.clock().ifPresent(clock -> leads.add(clock.becomes()));
                for (Reaction reaction : excerpt.map().reactions()) {
                    leads.add(reaction.whenStuffed());
                    reaction.responses().forEach(response -> response.leads().ifPresent(leads::add));
                    assertThat(excerpt.reactionTitle(reaction)).isEqualTo(map.reactionTitle(reaction));
                    reaction.needs().keySet().forEach(fact -> assertThat(excerpt.fact(fact)).isPresent());
                }
                assertThat(leads).allSatisfy(place -> assertThat(excerpt.placeTitle(place)).isEqualTo(map.placeTitle(place)));
                Set<Id> told = new HashSet<>(leads);
                told.add(situation.id());
                assertThat(excerpt.map().situations()).allMatch(one -> told.contains(one.id()));
                assertThat(excerpt.map().outcomes()).allMatch(one -> told.contains(one.id()));
            }
        }
    }

    @Test
    void ofOtherPlacesAndOfTheHouseNothingElseGoesOut() {
        EscapeMap map = new MapFixture().outcome("win", PlaceKind.REVERSAL).situation("low", 8, "high").situation("high", 4, "win")
                .situation("far").reaction("low", 0.5, "win", "high").reaction("high", 0.5, "far")
                .matchup(Matchup.EVEN).map().about("Ask who wrote it");
        Situation high = map.situations().get(1);
        map = map.with(PartKind.SITUATIONS, List.of(map.situations().get(0),
                new Situation(high.id(), high.title(), high.family(), high.stage(), high.bearing(), Map.of(Segment.HEAD, "their arm"),
                        high.facts(), high.clock(), 3, high.rest(), List.of(), high.notes(), Optional.of(Id.of("drawn"))),
                map.situations().get(2)));
        EscapeMap excerpt = Excerpt.of(MapIndex.of(map), Id.of("low"));
        assertThat(excerpt.situations()).extracting(Situation::id).containsExactly(Id.of("low"), Id.of("high"));
        assertThat(excerpt.situations().get(0).clock()).hasValue(new Clock(8, Id.of("high")));
        assertThat(excerpt.situations().get(1)).satisfies(other -> {
            assertThat(other.held()).isEmpty();
            assertThat(other.clock()).isEmpty();
            assertThat(other.posture()).isEmpty();
            assertThat(other.entry()).isZero();
        });
        assertThat(excerpt.reactions()).extracting(Reaction::from).containsOnly(Id.of("low"));
        assertThat(excerpt.matchups()).isEmpty();
        assertThat(excerpt.about()).isEmpty();
        assertThat(excerpt.parts(PartKind.PRINCIPLES)).isEmpty();
        assertThat(excerpt.parts(PartKind.HOLDS)).isEmpty();
        assertThat(excerpt.parts(PartKind.POSTURES)).isEmpty();
    }

    @Test
    void ofTheRulesThoseGoOutThatClose() {
        EscapeMap map = new MapFixture().outcome("win", PlaceKind.REVERSAL).situation("low").reaction("low", 0.5, "win").map()
                .with(PartKind.RULES, RateRule.USUAL);
        assertThat(Excerpt.of(MapIndex.of(map), Id.of("low")).rules()).isNotEmpty().hasSizeLessThan(map.rules().size())
                .allMatch(rule -> rule.effect() == RateRule.Effect.CLOSES);
    }

    @Test
    void thereIsNoneOfWhatIsNoSituation() {
        MapIndex map = MapIndex.of(new MapFixture().outcome("win", PlaceKind.REVERSAL).situation("low").map());
        assertThatThrownBy(() -> Excerpt.of(map, Id.of("win"))).isInstanceOf(NoSuchElementException.class);
    }
}
