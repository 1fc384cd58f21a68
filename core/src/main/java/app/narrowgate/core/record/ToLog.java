package app.narrowgate.core.record;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.advice.Sensitivities;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ojalgo.matrix.decomposition.Cholesky;
import org.ojalgo.matrix.store.R064Store;

/**
 * Which rounds would tell most: how much narrower the odds of a place would be after {@value #ROUNDS} more rounds from one.
 *
 * <p>Method: to first order the variance of the odds is that of the figures, each weighed by how much the odds move with it (the delta
 * method). Rounds that are still to come are worth what is to be expected of them: each end as often as it is likely, logged with one tap.
 * They leave every mean where it is, and narrow what they speak of. Clocks are left out. Cost: one adjoint a place, and for each beginning
 * that is weighed as many products with the figures' variance as rounds from there have ends.
 *
 * @param place whose odds
 * @param from where the rounds would begin
 * @param now how wide they are, in [0,1]
 * @param then how wide after them, in [0,{@code now}]
 */
public record ToLog(Id place, Id from, double now, double then) {

    /** Rounds that are weighed. */
    public static final int ROUNDS = 10;

    /** By how much. */
    public double narrower() {
        return now - then;
    }

    /**
     * Which rounds narrow the odds of one place most; empty where none would.
     *
     * @param odds by the beliefs, under the setting in which rounds are logged
     * @param most beginnings that are weighed: the place itself, and those that rounds from it come to most often
     */
    public static Optional<ToLog> narrowing(DoubtfulOdds odds, Beliefs beliefs, Id place, int most) {
        SolvedMap likely = odds.likely();
        double[] visits = likely.chain().visits(likely.startsAt(Optional.of(place)));
        List<Id> beginnings = likely.map().situations().stream().map(one -> one.id()).filter(one -> visits[likely.place(one)] > 0)
                .sorted(Comparator.comparing((Id one) -> !one.equals(place)).thenComparing(one -> -visits[likely.place(one)])).limit(most).toList();
        ExpectedCounts expected = new ExpectedCounts(likely, beliefs::chosen);
        return beginnings.stream().flatMap(from -> of(odds, beliefs, expected, place, from).stream()).max(Comparator.comparingDouble(ToLog::narrower));
    }

    /** By how much rounds from each of {@code places} would narrow its own odds, that which is narrowed most first. */
    public static List<ToLog> each(DoubtfulOdds odds, Beliefs beliefs, Collection<Id> places) {
        List<ToLog> all = new ArrayList<>();
        ExpectedCounts expected = new ExpectedCounts(odds.likely(), beliefs::chosen);
        places.forEach(place -> of(odds, beliefs, expected, place, place).ifPresent(all::add));
        all.sort(Comparator.comparingDouble(ToLog::narrower).reversed());
        return all;
    }

    private static Optional<ToLog> of(DoubtfulOdds odds, Beliefs beliefs, ExpectedCounts expected, Id place, Id from) {
        Together together = beliefs.together();
        double[] moves = moves(odds.likely(), beliefs, place);
        double[] varied = together.varied(moves);
        double before = times(moves, varied);
        List<double[]> scores = new ArrayList<>();
        for (PlaceKind kind : PlaceKind.values()) {
            double chance = expected.chance(from, kind);
            Tally.Kind round = new Tally.Kind(0, from, Ending.in(kind), Optional.empty(), Optional.empty(), false, Optional.empty());
            Optional<Counts> counts = chance > 0 ? expected.of(round) : Optional.empty();
            counts.ifPresent(one -> scores.add(together.scores(new Evidence.Kind(ROUNDS * chance, one, false, Optional.empty()))));
        }
        if (scores.isEmpty() || before <= 0) {
            return Optional.empty();
        }
        double now = odds.at(place).width();
        return Optional.of(new ToLog(place, from, now, now * Math.sqrt(Math.max(0, 1 - told(together, scores, varied) / before))));
    }

    /**
     * What rounds take off the variance of the odds. With the variance V of all figures, how they move the odds m and the scores S of the
     * rounds it is (SᵀVm)ᵀ (1 + SᵀVS)⁻¹ (SᵀVm): the inverse of a sum (Woodbury 1950), so that only as many equations are solved as there are ends.
     */
    private static double told(Together together, List<double[]> scores, double[] varied) {
        int ends = scores.size();
        double[][] information = new double[ends][];
        double[] told = new double[ends];
        for (int i = 0; i < ends; i++) {
            double[] one = together.varied(scores.get(i));
            double[] row = new double[ends];
            for (int j = 0; j < ends; j++) {
                row[j] = times(scores.get(j), one) + (i == j ? 1 : 0);
            }
            information[i] = row;
            told[i] = times(scores.get(i), varied);
        }
        Cholesky<Double> cholesky = Cholesky.R064.make(ends, ends);
        cholesky.decompose(R064Store.FACTORY.rows(information));
        return times(told, cholesky.getSolution(R064Store.FACTORY.column(told)).toRawCopy1D());
    }

    /** The variance of the odds of a place, to first order. */
    static double variance(SolvedMap likely, Beliefs beliefs, Id place) {
        double[] moves = moves(likely, beliefs, place);
        return times(moves, beliefs.together().varied(moves));
    }

    /** How the odds of a place move with each figure. */
    private static double[] moves(SolvedMap likely, Beliefs beliefs, Id place) {
        Map<Id, double[]> moves = new HashMap<>();
        for (Sensitivities.OfReaction one : AdjointSensitivity.of(likely, likely.startsAt(Optional.of(place))).reactions()) {
            Reaction reaction = beliefs.index().reaction(one.reaction()).orElseThrow();
            double all = reaction.responses().stream().mapToDouble(response -> beliefs.weight(reaction, response)).sum();
            double[] each = new double[1 + reaction.responses().size()];
            each[0] = one.perWorks();
            for (int i = 0; i < reaction.responses().size(); i++) {
                // What a weight alone moves: its own share, and the others' in proportion.
                each[i + 1] = one.responses().get(i).perChance() * (1 - beliefs.weight(reaction, reaction.responses().get(i)) / all);
            }
            moves.put(one.reaction(), each);
        }
        return beliefs.together().moves(moves);
    }

    private static double times(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }
}
