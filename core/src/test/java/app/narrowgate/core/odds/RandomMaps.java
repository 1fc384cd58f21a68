package app.narrowgate.core.odds;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import java.util.Map;
import java.util.Random;

/** Seeded random maps, small enough to enumerate. */
final class RandomMaps {

    private RandomMaps() {
    }

    /** Situations {@code s0 ..}, some with clocks, some to rest in, each with up to {@code reactions} reactions. */
    static EscapeMap map(Random random, int situations, int reactions, int responses) {
        MapFixture fixture = new MapFixture().outcome("guard", PlaceKind.GUARD);
        for (int s = 0; s < situations; s++) {
            int kind = random.nextInt(4);
            if (kind == 0) {
                fixture.situation("s" + s, 1 + random.nextInt(6), place(random, situations));
            } else if (kind == 1 && s > 0) {
                fixture.resting("s" + s, random.nextBoolean() ? PlaceKind.HALF : PlaceKind.TURTLE);
            } else {
                fixture.situation("s" + s);
            }
        }
        for (int s = 0; s < situations; s++) {
            int count = random.nextInt(reactions + 1);
            for (int r = 0; r < count; r++) {
                String[] landings = new String[random.nextInt(responses) + (random.nextInt(5) == 0 ? 0 : 1)];
                for (int i = 0; i < landings.length; i++) {
                    landings[i] = place(random, situations) + "*" + (1 + random.nextInt(5));
                }
                double works = random.nextInt(3) == 0 ? 1 : (1 + random.nextInt(9)) / 10.0;
                fixture.reaction("s" + s, works, random.nextInt(3), Map.<Id, Boolean>of(), landings);
            }
        }
        return fixture.map();
    }

    private static String place(Random random, int situations) {
        return switch (random.nextInt(8)) {
            case 0 -> "win";
            case 1 -> "tap";
            case 2 -> "guard";
            default -> "s" + random.nextInt(situations);
        };
    }
}
