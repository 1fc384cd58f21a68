package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.odds.Rates;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import java.util.stream.IntStream;

/**
 * The odds of a map by what is believed of its figures, and how sure they are: figures are drawn from the beliefs many times, and the map
 * is solved for each. Seeded. Cost: one solve a draw; memory: a number a draw and place.
 */
public final class DoubtfulOdds {

    /** Draws that are usual. */
    public static final int DRAWS = 400;

    /** How exactly a draw is solved: far below what one draw differs from the next. */
    private static final double GAP = 1e-3;

    /** Draws are made in so many streams of random numbers, whichever thread makes them: the same seed, the same odds. */
    private static final int STREAMS = 4;

    private final SolvedMap likely;
    /** {@code worth[place]}: what it is worth in each draw, ascending; behind the places, the starts. */
    private final double[][] worth;

    private DoubtfulOdds(SolvedMap likely, double[][] worth) {
        this.likely = likely;
        this.worth = worth;
    }

    /**
     * Those of {@code beliefs} under the setting of {@code map}, which is the same map.
     *
     * @param draws how many, at least 20
     */
    public static DoubtfulOdds of(SolvedMap map, Beliefs beliefs, int draws, long seed) {
        // Clocks are told apart by who they are, so the beliefs' own copy of the map is asked.
        SolvedMap likely = map.index() == beliefs.index() ? map.by(beliefs) : SolvedMap.of(beliefs.index(), map.setting(), beliefs).converged();
        int places = likely.game().places;
        double[] starts = likely.starts();
        double[][] worth = new double[places + 1][draws];
        SplittableRandom random = new SplittableRandom(seed);
        List<SplittableRandom> streams = IntStream.range(0, STREAMS).mapToObj(stream -> random.split()).toList();
        IntStream.range(0, STREAMS).parallel().forEach(stream -> {
            Supplier<Rates> drawing = beliefs.drawing(streams.get(stream));
            for (int draw = stream; draw < draws; draw += STREAMS) {
                SolvedMap one = likely.by(drawing.get(), GAP);
                for (int place = 0; place < places; place++) {
                    worth[place][draw] = one.solution().value(place);
                }
                worth[places][draw] = one.startWorth(starts);
            }
        });
        Arrays.stream(worth).forEach(Arrays::sort);
        return new DoubtfulOdds(likely, worth);
    }

    /** The map by the means of what is believed. */
    public SolvedMap likely() {
        return likely;
    }

    /** Of a place. */
    public Doubt at(Id place) {
        return between(likely.worth(place), worth[likely.place(place)]);
    }

    /** Of the starts, weighted by how often rounds begin in them. */
    public Doubt atTheStarts() {
        return between(likely.startWorth(), worth[worth.length - 1]);
    }

    private static Doubt between(double likely, double[] sorted) {
        return new Doubt(likely, quantile(sorted, Doubt.OUTSIDE), quantile(sorted, 1 - Doubt.OUTSIDE));
    }

    /** By linear interpolation between the draws. */
    private static double quantile(double[] sorted, double p) {
        double at = p * (sorted.length - 1);
        int below = (int) at;
        return below + 1 < sorted.length ? sorted[below] + (at - below) * (sorted[below + 1] - sorted[below]) : sorted[below];
    }
}
