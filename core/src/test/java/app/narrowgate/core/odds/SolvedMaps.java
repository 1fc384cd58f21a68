package app.narrowgate.core.odds;

import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.util.Random;

/** Seeded random maps, solved by turns for every read and late start. */
public final class SolvedMaps {

    private SolvedMaps() {
    }

    /** One of them. */
    public static SolvedMap solved(int seed) {
        return SolvedMap.of(MapIndex.of(RandomMaps.map(new Random(seed), 8, 3, 3)), Setting.of(Id.of("even"))
                .withRead(new double[] {0, 0.3, 1}[seed % 3]).withLate(0.25 * (seed % 4)));
    }
}
