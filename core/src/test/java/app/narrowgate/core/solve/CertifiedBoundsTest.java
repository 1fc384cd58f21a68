package app.narrowgate.core.solve;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SituationOdds;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Both bounds against rational arithmetic, on rings that are left as slowly as the legal weights allow. */
class CertifiedBoundsTest {

    private static final Setting WIN = Setting.of(Id.of("win")).withThinking(ThinkingTime.NONE);

    /** A fraction; not shortened but where it is asked for. */
    private record Fraction(BigInteger over, BigInteger under) implements Comparable<Fraction> {
        static final Fraction ZERO = new Fraction(BigInteger.ZERO, BigInteger.ONE);
        static final Fraction ONE = new Fraction(BigInteger.ONE, BigInteger.ONE);

        static Fraction of(double exactly) {
            BigDecimal decimal = new BigDecimal(exactly);
            return decimal.scale() >= 0
                    ? new Fraction(decimal.unscaledValue(), BigInteger.TEN.pow(decimal.scale())).shortened()
                    : new Fraction(decimal.toBigIntegerExact(), BigInteger.ONE);
        }

        Fraction plus(Fraction o) {
            return new Fraction(over.multiply(o.under).add(o.over.multiply(under)), under.multiply(o.under)).shortened();
        }

        Fraction minus(Fraction o) {
            return plus(new Fraction(o.over.negate(), o.under));
        }

        Fraction times(Fraction o) {
            return new Fraction(over.multiply(o.over), under.multiply(o.under)).shortened();
        }

        Fraction by(Fraction o) {
            return o.over.signum() > 0 ? times(new Fraction(o.under, o.over))
                    : times(new Fraction(o.under.negate(), o.over.negate()));
        }

        Fraction shortened() {
            BigInteger common = over.gcd(under);
            return common.signum() == 0 ? this : new Fraction(over.divide(common), under.divide(common));
        }

        @Override
        public int compareTo(Fraction o) {
            return over.multiply(o.under).compareTo(o.over.multiply(under));
        }
    }

    /** One place of a ring: weights of going on, of the win and of the tap. */
    private record Place(double on, double win, double tap) {
        Fraction share(double of) {
            return Fraction.of(of).by(Fraction.of(on).plus(Fraction.of(win)).plus(Fraction.of(tap)));
        }
    }

    /** The value of each place of a ring: {@code x0 = A + C x0}, then backwards. */
    private static List<Fraction> values(List<Place> ring) {
        Fraction gained = Fraction.ZERO;
        Fraction still = Fraction.ONE;
        for (Place place : ring) {
            gained = gained.plus(still.times(place.share(place.win())));
            still = still.times(place.share(place.on()));
        }
        Fraction next = gained.by(Fraction.ONE.minus(still));
        List<Fraction> values = new ArrayList<>();
        for (int i = ring.size() - 1; i >= 0; i--) {
            next = ring.get(i).share(ring.get(i).win()).plus(ring.get(i).share(ring.get(i).on()).times(next));
            values.add(0, next);
        }
        return values;
    }

    private static MapFixture fixture(List<List<Place>> answers) {
        MapFixture fixture = new MapFixture();
        for (int i = 0; i < answers.size(); i++) {
            fixture.situation("s" + i);
        }
        for (int i = 0; i < answers.size(); i++) {
            String next = "s" + (i + 1) % answers.size();
            for (Place place : answers.get(i)) {
                fixture.reaction("s" + i, 1, next + "*" + place.on(), "win*" + place.win(), "tap*" + place.tap());
            }
        }
        return fixture;
    }

    private static void assertBounds(Odds odds, List<Fraction> exact) {
        for (int i = 0; i < exact.size(); i++) {
            SituationOdds at = odds.at(Id.of("s" + i));
            assertThat(Fraction.of(at.lower())).as("lower bound of s%d", i).isLessThanOrEqualTo(exact.get(i));
            assertThat(Fraction.of(at.upper())).as("upper bound of s%d", i).isGreaterThanOrEqualTo(exact.get(i));
        }
    }

    private static double weight(Random random, double least, double most) {
        return least * Math.pow(most / least, random.nextDouble());
    }

    static IntStream seeds() {
        return IntStream.range(0, 60);
    }

    /** Thirty-five places, the least legal weight against the greatest. */
    @Test
    void theSlowestLegalRing() {
        List<List<Place>> ring = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        Random random = new Random(35);
        for (int i = 0; i < 35; i++) {
            Place place = new Place(Likelihood.WEIGHT.high(), weight(random, 1e-6, 2e-6), weight(random, 1e-6, 4e-6));
            places.add(place);
            ring.add(List.of(place));
        }
        Odds odds = OddsSolver.solve(MapIndex.of(fixture(ring).map()), WIN);
        assertThat(odds.converged()).isTrue();
        assertBounds(odds, values(places));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void boundsHoldOnSlowRings(int seed) {
        Random random = new Random(seed);
        int size = 2 + random.nextInt(34);
        List<List<Place>> ring = new ArrayList<>();
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Place place = new Place(weight(random, 1, 1e6), weight(random, 1e-6, 1), weight(random, 1e-6, 1));
            places.add(place);
            ring.add(List.of(place));
        }
        Odds odds = OddsSolver.solve(MapIndex.of(fixture(ring).map()), WIN);
        assertThat(odds.converged()).isTrue();
        assertBounds(odds, values(places));
        // And how rounds end is the same number, however slow the loop.
        for (int i = 0; i < size; i++) {
            SituationOdds at = odds.at(Id.of("s" + i));
            assertThat(at.chanceOf(app.narrowgate.core.map.PlaceKind.REVERSAL)).isBetween(at.lower() - 1e-12, at.upper() + 1e-12);
        }
    }

    /** Two answers in each place: the best of all ways of choosing. Whether it converged or not, the bounds hold. */
    @ParameterizedTest
    @MethodSource("seeds")
    void boundsHoldWhereThereIsAChoice(int seed) {
        Random random = new Random(seed);
        int size = 2 + random.nextInt(5);
        List<List<Place>> ring = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            ring.add(List.of(new Place(weight(random, 1, 1e6), weight(random, 1e-6, 1), weight(random, 1e-6, 1)),
                    new Place(weight(random, 1, 1e6), weight(random, 1e-6, 1), weight(random, 1e-6, 1))));
        }
        List<Fraction> best = null;
        for (int bits = 0; bits < 1 << size; bits++) {
            List<Place> chosen = new ArrayList<>();
            for (int i = 0; i < size; i++) {
                chosen.add(ring.get(i).get(bits >> i & 1));
            }
            List<Fraction> values = values(chosen);
            if (best == null) {
                best = new ArrayList<>(values);
            }
            for (int i = 0; i < size; i++) {
                best.set(i, best.get(i).compareTo(values.get(i)) >= 0 ? best.get(i) : values.get(i));
            }
        }
        for (double read : new double[] {0, 0.5}) {
            Odds odds = OddsSolver.solve(MapIndex.of(fixture(ring).map()), WIN.withRead(read));
            if (read == 0) {
                assertThat(odds.converged()).isTrue();
                assertBounds(odds, best);
            } else {
                // A partner who half reads can only take away.
                for (int i = 0; i < size; i++) {
                    assertThat(Fraction.of(odds.at(Id.of("s" + i)).lower())).isLessThanOrEqualTo(best.get(i));
                }
            }
        }
    }
}
