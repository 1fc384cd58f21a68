package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.PriorityQueue;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ManyServersTest {

    /** Of one server: busy is waiting, and the time in the system is exponential with the rates' difference (M/M/1; any textbook). */
    @Test
    void oneServerIsTheTextbooksFirst() {
        ManyServers one = new ManyServers(0.8, 1, 1);
        assertThat(one.waits()).isCloseTo(0.8, within(1e-12));
        assertThat(one.mean()).isCloseTo(5, within(1e-12));
        assertThat(one.longerThan(3)).isCloseTo(Math.exp(-0.6), within(1e-12));
        assertThat(one.within(0.01)).isCloseTo(Math.log(100) / 0.2, within(1e-9));
    }

    /** Of two, half busy, a third waits: 2ρ²/(1+ρ). */
    @Test
    void ofTwoHalfBusyAThirdWaits() {
        assertThat(new ManyServers(1, 1, 2).waits()).isCloseTo(1 / 3.0, within(1e-12));
        assertThat(new ManyServers(1.5, 1, 2).waits()).isCloseTo(2 * 0.75 * 0.75 / 1.75, within(1e-12));
    }

    /** A queue played out, a million requests of it, agrees. */
    @ParameterizedTest
    @CsvSource({"1.0, 2", "1.6, 2", "3.0, 4"})
    void agreesWithAQueuePlayedOut(double arrivals, int servers) {
        ManyServers model = new ManyServers(arrivals, 1, servers);
        Random random = new Random(5);
        PriorityQueue<Double> free = new PriorityQueue<>();
        for (int i = 0; i < servers; i++) {
            free.add(0.0);
        }
        double limit = model.within(0.05);
        int many = 1_000_000;
        int longer = 0;
        double now = 0;
        double sum = 0;
        for (int i = 0; i < many; i++) {
            now -= Math.log(1 - random.nextDouble()) / arrivals;
            double ends = Math.max(now, free.remove()) - Math.log(1 - random.nextDouble());
            free.add(ends);
            sum += ends - now;
            longer += ends - now > limit ? 1 : 0;
        }
        assertThat(sum / many).isCloseTo(model.mean(), within(0.03 * model.mean()));
        assertThat(longer / (double) many).isCloseTo(0.05, within(0.004));
    }

    @Test
    void whereMoreComeThanCanBeServedItGrowsWithoutEnd() {
        assertThat(new ManyServers(2, 1, 2).within(0.01)).isInfinite();
    }
}
