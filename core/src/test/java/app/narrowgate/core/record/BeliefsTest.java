package app.narrowgate.core.record;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Rates;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.BetaDistribution;
import org.junit.jupiter.api.Test;

/** Conjugate updating by its formulas, and draws against the distributions they are drawn from. */
class BeliefsTest {

    private static final MapIndex INDEX = MapIndex.of(new MapFixture().resting("guard", PlaceKind.GUARD).situation("pinned", 5, "tap")
            .reaction("pinned", 0.6, "guard*3", "tap*1").map());
    private static final Reaction ANSWER = INDEX.map().reactions().get(0);
    private static final Clock CLOCK = INDEX.situation(Id.of("pinned")).orElseThrow().clock().orElseThrow();

    private static final SolvedMap WRITTEN = SolvedMap.of(INDEX, Setting.of(Id.of("even")));

    private static Counts seen() {
        Counts counts = new Counts();
        counts.tried(ANSWER.id(), 10, 9);
        counts.answered(new LinkRef(ANSWER.id(), Id.of("r1-2")), 9);
        counts.ran(Id.of("pinned"), 4, 32);
        return counts;
    }


    private static Evidence.Kind certain(Counts counts) {
        return new Evidence.Kind(1, counts, true, Optional.empty());
    }

    @Test
    void nothingSeenLeavesWhatIsWritten() {
        Beliefs beliefs = Beliefs.of(WRITTEN);
        assertThat(beliefs.works(ANSWER)).isCloseTo(0.6, within(1e-12));
        assertThat(beliefs.weight(ANSWER, ANSWER.responses().get(0)) / beliefs.weight(ANSWER, ANSWER.responses().get(1))).isCloseTo(3, within(1e-12));
        assertThat(beliefs.seconds(CLOCK)).isCloseTo(5, within(1e-12));
        assertThat(WRITTEN.by(beliefs).startWorth()).isCloseTo(WRITTEN.startWorth(), within(1e-9));
    }

    @Test
    void whatWasSeenComesToEightTrialsToTwelveAnswersAndToEightRuns() {
        Beliefs beliefs = Beliefs.of(WRITTEN).and(certain(seen()));
        same(beliefs.going(ANSWER), new Beta(8 * 0.6 + 9, 8 * 0.4 + 1));
        assertThat(beliefs.weight(ANSWER, ANSWER.responses().get(0))).isCloseTo(9, within(1e-12));
        assertThat(beliefs.weight(ANSWER, ANSWER.responses().get(1))).isCloseTo(12, within(1e-12));
        assertThat(beliefs.seconds(CLOCK)).isCloseTo((8 * 5 + 32) / 12.0, within(1e-12));
        Beliefs own = beliefs.asWritten().and(certain(seen()));
        same(own.going(ANSWER), Beta.of(beliefs.works(ANSWER), 8).after(9, 1));
    }

    private static void same(Beta one, Beta other) {
        assertThat(one.yes()).isCloseTo(other.yes(), within(1e-9));
        assertThat(one.no()).isCloseTo(other.no(), within(1e-9));
    }

    @Test
    void drawsAreThoseOfTheDistributions() {
        Beliefs beliefs = Beliefs.of(WRITTEN).and(certain(seen()));
        Supplier<Rates> drawing = beliefs.drawing(new SplittableRandom(5));
        int draws = 40_000;
        double[] works = new double[draws];
        double[] share = new double[draws];
        double[] seconds = new double[draws];
        for (int i = 0; i < draws; i++) {
            Rates drawn = drawing.get();
            works[i] = drawn.works(ANSWER);
            double one = drawn.weight(ANSWER, ANSWER.responses().get(0));
            share[i] = one / (one + drawn.weight(ANSWER, ANSWER.responses().get(1)));
            seconds[i] = drawn.seconds(CLOCK);
        }
        assertThat(mean(works)).isCloseTo(beliefs.works(ANSWER), within(0.004));
        assertThat(variance(works)).isCloseTo(beliefs.going(ANSWER).variance(), within(0.0005));
        assertThat(mean(share)).isCloseTo(9 / 21.0, within(0.004));
        assertThat(variance(share)).as("of a beta of 9 and 12").isCloseTo(BetaDistribution.of(9, 12).getVariance(), within(0.0005));
        assertThat(mean(seconds)).isCloseTo(beliefs.seconds(CLOCK), within(0.03));
    }

    private static double mean(double[] of) {
        return IntStream.range(0, of.length).mapToDouble(i -> of[i]).average().orElseThrow();
    }

    private static double variance(double[] of) {
        double mean = mean(of);
        return IntStream.range(0, of.length).mapToDouble(i -> (of[i] - mean) * (of[i] - mean)).average().orElseThrow();
    }

    /** One link without a clock: the odds are a beta themselves. */
    @Test
    void theOddsOfOneLinkLieWhereItsOwnDistributionDoes() {
        MapIndex one = MapIndex.of(new MapFixture().outcome("lost", PlaceKind.TAP).situation("pinned")
                .reaction("pinned", 0.5, 0, Map.of(), Optional.of("lost"), "win").map());
        SolvedMap written = SolvedMap.of(one, Setting.of(Id.of("win")));
        Counts counts = new Counts();
        counts.tried(Id.of("r1"), 12, 9);
        Beliefs beliefs = Beliefs.of(written).and(certain(counts));
        DoubtfulOdds odds = DoubtfulOdds.of(written, beliefs, 20_000, 11);
        BetaDistribution exact = BetaDistribution.of(4 + 9, 4 + 3);
        assertThat(odds.at(Id.of("pinned")).likely()).isCloseTo(13 / 20.0, within(1e-6));
        assertThat(odds.at(Id.of("pinned")).low()).isCloseTo(exact.inverseCumulativeProbability(0.05), within(0.005));
        assertThat(odds.at(Id.of("pinned")).high()).isCloseTo(exact.inverseCumulativeProbability(0.95), within(0.005));
        assertThat(odds.atTheStarts()).isEqualTo(odds.at(Id.of("pinned")));
        assertThat(DoubtfulOdds.of(odds.likely(), beliefs, 400, 3).atTheStarts()).as("the same seed, the same odds")
                .isEqualTo(DoubtfulOdds.of(odds.likely(), beliefs, 400, 3).atTheStarts());
    }

    @Test
    void whatIsCertainStaysSo() {
        assertThat(Beta.of(1, 8).sampler(new SplittableRandom(1)::nextLong).next()).isEqualTo(1);
        assertThat(Beta.of(0, 8).sampler(new SplittableRandom(1)::nextLong).next()).isZero();
        assertThat(Beta.of(1, 8).after(0, 2).mean()).isCloseTo(0.8, within(1e-12));
    }
}
