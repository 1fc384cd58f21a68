package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Lean;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a matchup closes and shifts. */
class ConditionsTest {

    private static final Setting EVEN = Setting.of(Id.of("even"));

    private static EscapeMap map(Set<Lean> leans, Level level, boolean children, Set<Injury> avoidWith) {
        return new MapFixture().fact("wall").situation("a", 6, "tap").reaction("a", 0.6, 1, Map.of(Id.of("wall"), false),
                "win").map().with(new Technique(Id.of("technique"), "Technique", List.of(), List.of(), List.of(), List.of(),
                List.of(), List.of(), Optional.empty(), level, children, avoidWith, leans));
    }

    private static EscapeMap strength() {
        return map(Set.of(Lean.STRENGTH), Level.NOVICE, true, Set.of());
    }

    private static double start(EscapeMap map, Matchup matchup) {
        return OddsSolver.solve(MapIndex.of(map), EVEN.withMatchup(matchup)).start();
    }

    private static Matchup matchup(boolean jacket, AgeGroup age, Level level, Set<Injury> injuries,
            Map<Id, Boolean> facts) {
        return new Matchup(Id.of("m"), "M", 0, 0, jacket, Occasion.SPORT, age, level, injuries, facts);
    }

    private static List<Closing> closed(EscapeMap map, Matchup matchup) {
        return OddsSolver.solve(MapIndex.of(map), EVEN.withMatchup(matchup)).at(Id.of("a")).reactions().get(0).closedBy();
    }

    /** Common practice, no source: a heavier partner never raises the odds of a strength-based answer. */
    @Test
    void aHeavierPartnerNeverHelpsAStrengthAnswer() {
        double before = 1;
        for (double gap = -60; gap <= 100; gap += 5) {
            double now = start(strength(), Matchup.EVEN.withWeightGap(gap));
            assertThat(now).isLessThanOrEqualTo(before + 1e-9);
            before = now;
        }
    }

    /** By hand: 25 kg is a dose of 20 at -0.07 and of 15 at -0.02, added to the log odds of 0.6. */
    @Test
    void shiftsAddUpInLogOdds() {
        Conditions conditions = Conditions.of(MapIndex.of(strength()), EVEN.withMatchup(Matchup.EVEN.withWeightGap(25)));
        double logOdds = Math.log(0.6 / 0.4) - 20 * 0.07 - 15 * 0.02;
        assertThat(conditions.works(strength().reactions().get(0))).isCloseTo(1 / (1 + Math.exp(-logOdds)), within(1e-12));
    }

    /** A fact that follows from kilograms: from 25 on it holds, below it does not, and what the matchup says goes before. */
    @Test
    void aMeasuredFactFollowsFromThePair() {
        EscapeMap plain = strength();
        EscapeMap map = plain.with(new Fact(Id.of("wall"), "They are much heavier",
                Optional.of(new Fact.Measured(RateRule.Gauge.THEY_HEAVIER, 25))));
        assertThat(closed(map, Matchup.EVEN.withWeightGap(25)))
                .containsExactly(new Closing(Closing.Kind.FACT, "wall"));
        assertThat(closed(map, Matchup.EVEN.withWeightGap(24.9))).isEmpty();
        assertThat(closed(plain, Matchup.EVEN.withWeightGap(60))).isEmpty();
        Matchup said = new Matchup(Id.of("m"), "M", 60, 0, false, Occasion.SPORT, AgeGroup.ADULTS, Level.ADVANCED,
                Set.of(), Map.of(Id.of("wall"), false));
        assertThat(closed(map, said)).isEmpty();
    }

    @Test
    void anEvenPairChangesNothing() {
        Conditions conditions = Conditions.of(MapIndex.of(strength()), EVEN);
        assertThat(conditions.works(strength().reactions().get(0))).isEqualTo(0.6);
        assertThat(conditions.seconds(strength().reactions().get(0))).isEqualTo(1);
    }

    @Test
    void everythingThatClosesIsNamed() {
        EscapeMap map = map(Set.of(Lean.JACKET), Level.NOVICE, false, Set.of(Injury.KNEE));
        Matchup bad = matchup(false, AgeGroup.CHILDREN, Level.NOVICE, Set.of(Injury.KNEE), Map.of(Id.of("wall"), true));
        assertThat(closed(map, bad)).extracting(Closing::kind).containsExactly(Closing.Kind.FACT, Closing.Kind.INJURY,
                Closing.Kind.CHILDREN, Closing.Kind.RULE);
        assertThat(closed(map, matchup(true, AgeGroup.ADULTS, Level.NOVICE, Set.of(), Map.of()))).isEmpty();
    }

    @Test
    void whatIsAboveTheLevelWorksLessAndSlower() {
        EscapeMap hard = map(Set.of(), Level.ADVANCED, true, Set.of());
        Matchup novice = matchup(false, AgeGroup.ADULTS, Level.NOVICE, Set.of(), Map.of());
        Conditions conditions = Conditions.of(MapIndex.of(hard), EVEN.withMatchup(novice));
        assertThat(conditions.works(hard.reactions().get(0))).isLessThan(0.6);
        assertThat(conditions.seconds(hard.reactions().get(0))).isCloseTo(Math.exp(0.4), within(1e-12));
    }

    @Test
    void anInstructorsOwnRuleReplacesTheUsualOne() {
        RateRule usual = RateRule.USUAL.get(0);
        EscapeMap own = strength().with(new RateRule(usual.id(), usual.title(), usual.gauge(), 0, 100, usual.target(),
                usual.effect(), 0, "We found no difference.", "our own record"));
        assertThat(own.rules()).hasSameSizeAs(RateRule.USUAL);
        assertThat(start(own, Matchup.EVEN.withWeightGap(9))).isEqualTo(start(strength(), Matchup.EVEN));
        assertThat(start(strength(), Matchup.EVEN.withWeightGap(9))).isLessThan(start(strength(), Matchup.EVEN));
    }

    @Test
    void everyUsualRuleSaysWhyAndWhereFrom() {
        assertThat(RateRule.USUAL).allSatisfy(rule -> {
            assertThat(rule.reason()).isNotBlank();
            assertThat(rule.source()).isEqualTo(RateRule.ESTIMATE);
        });
        assertThat(RateRule.USUAL).extracting(RateRule::id).doesNotHaveDuplicates();
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, 151, -151, Double.POSITIVE_INFINITY})
    void aWeightGapOutsideIsRefused(double gap) {
        assertThatThrownBy(() -> Matchup.EVEN.withWeightGap(gap)).hasMessageContaining("between -150 and 150 kg");
    }
}
