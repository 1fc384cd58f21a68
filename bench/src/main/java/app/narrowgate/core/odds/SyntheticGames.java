package app.narrowgate.core.odds;

import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.PartnerRead;
import java.util.SplittableRandom;

/**
 * Seeded games of any size, shaped like a map: ten responses a situation on two or three reactions, most landings near
 * by, one in eight an end, a clock that moves one further, stuffed attempts that stay.
 */
final class SyntheticGames {

    private static final int OUTCOMES = 6;
    private static final int REACH = 40;

    private SyntheticGames() {
    }

    /** A game of about {@code responses} responses. */
    static Game of(int responses, long seed, double read) {
        SplittableRandom random = new SplittableRandom(seed);
        int situations = Math.max(1, responses / 10);
        int perSituation = 5;
        int options = situations * 2;
        int count = options * perSituation;
        double[] worth = new double[situations + OUTCOMES];
        for (int k = 0; k < OUTCOMES; k++) {
            worth[situations + k] = k / (double) (OUTCOMES - 1);
        }
        int[] optionStart = new int[situations + 1];
        int[] becomes = new int[situations];
        int[] reaction = new int[options];
        double[] going = new double[options];
        double[] stuffedShare = new double[options];
        double[] lateShare = new double[options];
        int[] stuffed = new int[options];
        int[] responseStart = new int[options + 1];
        int[] landing = new int[count];
        double[] chance = new double[count];
        for (int s = 0; s < situations; s++) {
            becomes[s] = s + 1 < situations ? s + 1 : situations;
            for (int o = 2 * s; o < 2 * s + 2; o++) {
                double in = 0.6 + 0.4 * random.nextDouble();
                double works = 0.2 + 0.6 * random.nextDouble();
                reaction[o] = o;
                going[o] = in * works;
                stuffedShare[o] = in * (1 - works);
                lateShare[o] = 1 - in;
                stuffed[o] = s;
                double total = 0;
                for (int i = o * perSituation; i < (o + 1) * perSituation; i++) {
                    landing[i] = random.nextInt(8) == 0
                            ? situations + random.nextInt(OUTCOMES)
                            : Math.floorMod(s + random.nextInt(2 * REACH) - REACH, situations);
                    chance[i] = 1 + random.nextInt(12);
                    total += chance[i];
                }
                for (int i = o * perSituation; i < (o + 1) * perSituation; i++) {
                    chance[i] /= total;
                }
                responseStart[o + 1] = (o + 1) * perSituation;
            }
            optionStart[s + 1] = 2 * s + 2;
        }
        return new Game(worth, new boolean[situations], optionStart, reaction, going, stuffedShare, lateShare, stuffed, becomes,
                responseStart, landing, chance, new PartnerRead(read));
    }
}
