package app.narrowgate.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Two nodes of a house, and the database under them, are killed again and again while four people write: nothing acknowledged is lost, nothing doubled. */
class PowerCutStory {

    private static final int CUTS = 15;
    private static final int NODE_EVERY = 5;
    /** Both at once, which takes longest to come back. */
    private static final int SERVERS_AT = 4;
    private static final int NODES = 2;
    private static final long SEED = 20_261_129;

    @Test
    void nothingThatWasAcknowledgedIsLostAndNothingIsDoubled() throws Exception {
        try (PowerCuts house = new PowerCuts(SEED, NODES, ThrowAwayDatabase.onTheDisk())) {
            for (int i = 0; i < CUTS; i++) {
                house.cut(what(i));
            }
            PowerCuts.Outcome outcome = house.outcome();
            assertThat(outcome.acknowledged().values()).as("of each kind, before every fourth cut").allMatch(count -> count >= CUTS / 4);
            assertThat(outcome.lost().values()).as(outcome.toString()).containsOnly(0);
            assertThat(outcome.doubled().values()).as(outcome.toString()).containsOnly(0);
            assertThat(house.opens()).as("nothing is half stored: the map is put together and solved").isTrue();
        }
    }

    private static PowerCuts.What what(int cut) {
        if (cut == SERVERS_AT) {
            return PowerCuts.What.SERVER;
        }
        return cut % NODE_EVERY == 2 ? PowerCuts.What.NODE : PowerCuts.What.DATABASE;
    }
}
