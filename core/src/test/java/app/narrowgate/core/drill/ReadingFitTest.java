package app.narrowgate.core.drill;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.ReadingFit.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.ojalgo.matrix.decomposition.QR;
import org.ojalgo.matrix.store.MatrixStore;
import org.ojalgo.matrix.store.R064Store;

/** The law of Hick (1952) and Hyman (1953), fitted. */
class ReadingFitTest {

    @Test
    void isExactOnMadeData() {
        List<Reading> made = new ArrayList<>();
        for (int answers : new int[] {1, 2, 3, 4, 6, 7}) {
            made.add(new Reading(answers, 0.34 + 0.41 * Math.log(answers + 1) / Math.log(2)));
        }
        ReadingFit fit = ReadingFit.of(made).orElseThrow();
        assertThat(fit.base().value()).isCloseTo(0.34, within(1e-12));
        assertThat(fit.perBit().value()).isCloseTo(0.41, within(1e-12));
        assertThat(fit.base().high() - fit.base().low()).isLessThan(1e-6);
        assertThat(fit.thinking().seconds(3)).as("four answers and none: two bits").isCloseTo(0.34 + 2 * 0.41, within(1e-12));
    }

    private static List<Reading> scattered(Random random, int count) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            int answers = 2 + random.nextInt(5);
            readings.add(new Reading(answers, 0.5 + 0.3 * Math.log(answers + 1) / Math.log(2) + 0.15 * random.nextGaussian()));
        }
        return readings;
    }

    @Test
    void agreesWithAGeneralLeastSquares() {
        for (int seed = 0; seed < 20; seed++) {
            List<Reading> readings = scattered(new Random(seed), 5 + seed);
            R064Store design = R064Store.FACTORY.make(readings.size(), 2);
            R064Store seconds = R064Store.FACTORY.make(readings.size(), 1);
            for (int i = 0; i < readings.size(); i++) {
                design.set(i, 0, 1);
                design.set(i, 1, Math.log(readings.get(i).answers() + 1.0) / Math.log(2));
                seconds.set(i, 0, readings.get(i).seconds());
            }
            QR<Double> qr = QR.R064.make(design);
            qr.decompose(design);
            MatrixStore<Double> solution = qr.getSolution(seconds);
            ReadingFit fit = ReadingFit.of(readings).orElseThrow();
            assertThat(fit.base().value()).isCloseTo(solution.doubleValue(0, 0), within(1e-9));
            assertThat(fit.perBit().value()).isCloseTo(solution.doubleValue(1, 0), within(1e-9));
        }
    }

    /** Of 1,000 made people nine in ten intervals hold the truth, to within what chance allows (four standard errors). */
    @Test
    void theIntervalHoldsTheTruthAsOftenAsItSays() {
        int held = 0;
        for (int seed = 0; seed < 1000; seed++) {
            ReadingFit.Estimate perBit = ReadingFit.of(scattered(new Random(seed), 20)).orElseThrow().perBit();
            held += perBit.low() <= 0.3 && 0.3 <= perBit.high() ? 1 : 0;
        }
        assertThat(held / 1000.0).isCloseTo(ReadingFit.CONFIDENCE, within(4 * Math.sqrt(0.9 * 0.1 / 1000)));
    }

    @Test
    void tooLittleSaysNothing() {
        assertThat(ReadingFit.of(List.of(new Reading(2, 1), new Reading(3, 1.2)))).isEmpty();
        assertThat(ReadingFit.of(List.of(new Reading(3, 1), new Reading(3, 1.2), new Reading(3, 0.9)))).isEmpty();
        assertThatThrownBy(() -> new Reading(3, Double.NaN)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new Reading(0, 1)).isInstanceOf(RefusedException.class);
        assertThatThrownBy(() -> new Reading(3, 31)).isInstanceOf(RefusedException.class);
    }

    @Test
    void nobodyChoosesInLessThanNoTime() {
        List<Reading> steep = List.of(new Reading(1, 0.1), new Reading(2, 0.9), new Reading(3, 1.6));
        assertThat(ReadingFit.of(steep).orElseThrow().base().value()).isNegative();
        assertThat(ReadingFit.of(steep).orElseThrow().thinking().base()).isZero();
    }
}
