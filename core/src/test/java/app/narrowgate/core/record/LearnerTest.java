package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.GammaDistribution;
import org.junit.jupiter.api.Test;

/** Gyms are made up by drawing a true map from what is written, and rounds by rolling them on it. */
class LearnerTest {

    /** Pins that run into each other and get worse with time, most with a second answer. */
    private static MapIndex pins() {
        return MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD)
                .situation("last", 6, "tap").situation("mount", 8, "last").situation("half", 8, "side").situation("side", 6, "mount")
                .situation("early", 4, "side")
                .situation("back", 7, "last")
                .reaction("early", 0.6, 1, Map.of(), Optional.of("side"), "guard*6", "side*3", "half*3")
                .reaction("early", 0.4, 1, Map.of(), Optional.of("side"), "guard*12", "back*1")
                .reaction("side", 0.6, 1.5, Map.of(), Optional.empty(), "guard*6", "half*6", "mount*3")
                .reaction("side", 0.4, 1, Map.of(), Optional.of("mount"), "win*6", "back*3")
                .reaction("half", 0.6, 1, Map.of(), Optional.of("side"), "guard*6", "side*3")
                .reaction("mount", 0.4, 1.5, Map.of(), Optional.of("last"), "half*6", "win*3", "last*1")
                .reaction("mount", 0.4, 2, Map.of(), Optional.of("last"), "win*6", "mount*6")
                .reaction("back", 0.4, 2, Map.of(), Optional.of("last"), "guard*6", "mount*3", "last*1")
                .reaction("last", 0.2, 1, Map.of(), Optional.of("tap"), "mount*6", "tap*3").map());
    }

    static SolvedMap written() {
        return SolvedMap.of(pins(), Setting.of(Id.of("even")));
    }

    private static SolvedMap truth(SolvedMap written, long seed) {
        return written.by(new Learner(written).before().drawing(new SplittableRandom(seed)).get());
    }

    /** How often each answer is chosen in a gym, drawn from what is believed of people before they were seen: mostly what is best there. */
    private static ToDoubleFunction<Reaction> habits(SolvedMap truth, long seed) {
        UniformRandomProvider random = new SplittableRandom(seed)::nextLong;
        Map<Id, Double> drawn = new HashMap<>();
        truth.map().reactions().forEach(reaction -> drawn.put(reaction.id(),
                GammaDistribution.of(Beliefs.CHOICES * Beliefs.of(truth).chosen(reaction), 1).createSampler(random).sample()));
        return reaction -> drawn.get(reaction.id());
    }

    /** The share of places in which nine in ten held the truth, over gyms. */
    private static double held(int gyms, int rounds, Function<TrueMat.Rolled, Event.Round> log) {
        SolvedMap written = written();
        int held = 0;
        int all = 0;
        for (int gym = 0; gym < gyms; gym++) {
            SolvedMap truth = truth(written, 1000 + gym);
            Tally tally = tally(Mat.of(truth, habits(truth, gym), gym).rolls(rounds), log);
            DoubtfulOdds odds = DoubtfulOdds.of(written, new Learner(written).learn(tally), DoubtfulOdds.DRAWS, 5);
            for (int place = 0; place < written.game().situations; place++) {
                Id id = written.placeId(place);
                if (!written.solution().choice(place).rests()) {
                    Doubt doubt = odds.at(id);
                    all++;
                    held += doubt.low() <= truth.worth(id) && truth.worth(id) <= doubt.high() ? 1 : 0;
                }
            }
        }
        return held / (double) all;
    }

    private static Tally tally(List<TrueMat.Rolled> rolled, Function<TrueMat.Rolled, Event.Round> log) {
        return Tally.of(rolled.stream().map(log).toList(), Mat.now());
    }

    @Test
    void nineInTenHoldTheTruthNineTimesInTen() {
        assertThat(held(200, 0, Mat::logged)).as("by what is written alone").isBetween(0.86, 0.94);
        for (int rounds : new int[] {30, 300}) {
            assertThat(held(200, rounds, Mat::logged)).as("%d rounds of which only beginning and end are known", rounds).isBetween(0.86, 0.94);
        }
        for (int rounds : new int[] {100, 1000}) {
            assertThat(held(200, rounds, Mat::noted)).as("%d rounds whose last answer was noted", rounds).isBetween(0.86, 0.94);
        }
    }

    /** Counting what is to be expected as if it had been seen would say that this is known to a few hundredths. */
    @Test
    void whatIsReckonedIsNotAsSureAsWhatIsSeen() {
        SolvedMap written = written();
        Learner learner = new Learner(written);
        List<TrueMat.Rolled> rolled = Mat.of(written, 3).rolls(2000);
        Beliefs reckoned = learner.learn(tally(rolled, Mat::logged));
        Beliefs noted = learner.learn(tally(rolled, Mat::noted));
        Reaction reaction = written.index().reaction(Id.of("r3")).orElseThrow();
        double asIfSeen = Beta.of(reckoned.works(reaction), Beliefs.WORKS + reckoned.evidence().reckoned().tries(reaction.id())).variance();
        assertThat(reckoned.going(reaction).variance()).isGreaterThan(3 * asIfSeen);
        assertThat(noted.going(reaction).variance()).isLessThan(reckoned.going(reaction).variance());
        assertThat(learner.before().going(reaction).variance()).isGreaterThan(reckoned.going(reaction).variance());
    }

    @Test
    void theMoreRoundsTheNearerTheTruthAndTheNarrower() {
        SolvedMap written = written();
        SolvedMap truth = truth(written, 44);
        Learner learner = new Learner(written);
        List<TrueMat.Rolled> rolled = Mat.of(truth, 8).rolls(4000);
        double off = Math.abs(written.startWorth() - truth.startWorth());
        assertThat(off).isGreaterThan(0.02);
        double width = 1;
        for (int rounds : new int[] {100, 1000, 4000}) {
            Doubt doubt = DoubtfulOdds.of(written, learner.learn(tally(rolled.subList(0, rounds), Mat::logged)), 400, 1).atTheStarts();
            assertThat(doubt.width()).isLessThan(width);
            width = doubt.width();
            assertThat(truth.startWorth()).isBetween(doubt.low() - 0.01, doubt.high() + 0.01);
            off = Math.abs(doubt.likely() - truth.startWorth());
        }
        assertThat(off).isLessThan(0.02);
    }

    /** However many answers are taught there, and whichever of them nobody was seen to give. */
    @Test
    void whereHardlyAnybodyGetsOutTheOddsSayIt() {
        SolvedMap written = written();
        Id side = Id.of("side");
        List<Event.Round> rounds = new ArrayList<>(Collections.nCopies(90, ExpectedCountsTest.round("side", PlaceKind.TAP, null, null)));
        rounds.addAll(Collections.nCopies(10, ExpectedCountsTest.round("side", PlaceKind.GUARD, null, null)));
        double likely = written.by(new Learner(written).learn(Tally.of(rounds, Mat.now()))).worth(side);
        assertThat(written.worth(side)).isGreaterThan(0.5);
        assertThat(likely).isLessThan(0.25);
    }

    @Test
    void whoeverIsLearnedOfByThemselvesStartsFromTheirGroup() {
        SolvedMap written = written();
        Learner learner = new Learner(written);
        Beliefs group = learner.learn(tally(Mat.of(truth(written, 42), 8).rolls(1000), Mat::logged));
        Beliefs nobody = learner.learn(group, new Tally(Mat.now(), Map.of()));
        written.map().reactions().forEach(reaction -> {
            assertThat(nobody.works(reaction)).isCloseTo(group.works(reaction), within(1e-12));
            assertThat(nobody.going(reaction).variance()).as("a person is as little known as any").isGreaterThanOrEqualTo(group.going(reaction).variance());
        });
        Event.Round tapped = ExpectedCountsTest.round("side", PlaceKind.TAP, null, null);
        Beliefs somebody = learner.learn(group, Tally.of(Collections.nCopies(20, tapped), Mat.now()));
        assertThat(written.by(somebody).worth(Id.of("side"))).isLessThan(written.by(group).worth(Id.of("side")) - 0.05);
    }

    @Test
    void anotherRoundMovesWhatIsBelievedAsLearningAllAgainDoes() {
        SolvedMap written = written();
        Learner learner = new Learner(written);
        List<Event.Round> rounds = Mat.of(truth(written, 42), 8).rolls(300).stream().map(Mat::logged).toList();
        Event.Round more = ExpectedCountsTest.round("side", PlaceKind.GUARD, null, null);
        Beliefs before = learner.learn(Tally.of(rounds, Mat.now()));
        Beliefs quick = learner.another(before, more);
        List<Event.Round> all = new ArrayList<>(rounds);
        all.add(more);
        Beliefs whole = learner.learn(Tally.of(all, Mat.now()));
        double moved = written.by(quick).worth(Id.of("side")) - written.by(before).worth(Id.of("side"));
        assertThat(moved).isPositive();
        assertThat(written.by(quick).worth(Id.of("side"))).isCloseTo(written.by(whole).worth(Id.of("side")), within(0.005));
    }

    @Test
    void aRoundAgainstSomebodyHeavierSaysLessOfWhatFailed() {
        MapIndex jacket = pins();
        SolvedMap written = SolvedMap.of(jacket, Setting.of(Id.of("even")));
        Event.Round round = ExpectedCountsTest.round("last", PlaceKind.TAP, null, null);
        Event.Round heavier = new Event.Round(round.id(), round.at(), round.person(), round.partner(), round.start(), round.side(), round.ending(),
                round.seconds(), round.reaction(), round.response(), round.nothing(), Optional.of(23.0));
        assertThat(Tally.Kind.of(heavier).gap()).isEqualTo(20);
        Beliefs even = new Learner(written).learn(Tally.of(Collections.nCopies(20, round), Mat.now()));
        Beliefs uneven = new Learner(written).learn(Tally.of(Collections.nCopies(20, heavier), Mat.now()));
        Reaction last = jacket.reaction(Id.of("r9")).orElseThrow();
        assertThat(uneven.works(last)).isGreaterThan(even.works(last));
    }

    /** Whoever has their guard back has ended the round, whatever is taught from there: a tap is never laid to what would have come after it. */
    @Test
    void aRoundIsOverWherePeopleRest() {
        MapIndex index = MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("mount", 60, "tap")
                .reaction("mount", 0.6, 0, Map.of(), Optional.of("tap"), "guard*1")
                .reaction("guard", 0.5, 0, Map.of(), Optional.of("mount"), "win*1").map());
        SolvedMap written = SolvedMap.of(index, Setting.of(Id.of("even")));
        Event.Round tapped = ExpectedCountsTest.round("mount", PlaceKind.TAP, null, null);
        Event.Round out = ExpectedCountsTest.round("mount", PlaceKind.GUARD, null, null);
        Tally half = Tally.of(Stream.concat(Collections.nCopies(500, tapped).stream(), Collections.nCopies(500, out).stream()).toList(), Mat.now());
        Beliefs beliefs = new Learner(written).learn(half);
        Reaction first = index.reactionsFrom(Id.of("mount")).get(0);
        assertThat(beliefs.works(first)).as("conjugate, eight trials and a thousand").isCloseTo((8 * 0.6 + 500) / 1008, within(1e-3));
        assertThat(beliefs.works(index.reactionsFrom(Id.of("guard")).get(0))).as("nothing was seen of it").isEqualTo(0.5);
        // Where the round begins in such a place they go on.
        Beliefs begun = new Learner(written).learn(Tally.of(Collections.nCopies(50, ExpectedCountsTest.round("guard", PlaceKind.TAP, null, null)), Mat.now()));
        assertThat(begun.works(index.reactionsFrom(Id.of("guard")).get(0))).isLessThan(0.2);
    }

    @Test
    void evidenceFadesByHalfInHalfAYear() {
        Event.Round round = ExpectedCountsTest.round("side", PlaceKind.GUARD, null, null);
        Instant later = round.at().plus(Duration.ofDays(180));
        assertThat(Tally.of(List.of(round, round), later).times().values()).singleElement().isEqualTo(1.0);
        assertThat(Tally.of(List.of(round), round.at().minusSeconds(60)).times().values()).as("a device's clock may be ahead").singleElement().isEqualTo(1.0);
    }
}
