package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The server, and the database under it, are killed again and again while four people write; nothing that was acknowledged is lost, nothing is doubled. */
class PowerCutStory {

    private static final int CUTS = 15;
    private static final int SERVER_EVERY = 5;
    private static final long SEED = 20_261_129;

    @Test
    void nothingThatWasAcknowledgedIsLostAndNothingIsDoubled() throws Exception {
        try (PowerCuts house = new PowerCuts(SEED)) {
            for (int i = 0; i < CUTS; i++) {
                // The server takes longest to come back.
                house.cut(i % SERVER_EVERY == 2 ? PowerCuts.What.SERVER : PowerCuts.What.DATABASE);
            }
            PowerCuts.Outcome outcome = house.outcome();
            assertThat(outcome.acknowledged().values()).as("of each kind, before each cut and after the last").allMatch(count -> count >= CUTS);
            assertThat(outcome.lost().values()).as(outcome.toString()).containsOnly(0);
            assertThat(outcome.doubled().values()).as(outcome.toString()).containsOnly(0);
            assertThat(house.opens()).as("nothing is half stored: the map is put together and solved").isTrue();
        }
    }
}
