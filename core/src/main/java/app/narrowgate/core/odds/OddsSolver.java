package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.solve.Solution;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Tells the odds of a whole solved map: for every situation how its rounds end and how long they take, for every
 * reaction and response what it is worth.
 *
 * <p>Deterministic. Cost: one {@link RoundChain}, one of its questions for each kind of end, and one pass over the map.
 */
public final class OddsSolver {

    /** Worths no further apart are the same, so that one map is told in one order wherever it is computed. */
    private static final double SAME = 1e-9;

    private final SolvedMap solved;
    private final MapIndex index;
    private final Conditions conditions;
    private final Game game;
    private final Solution solution;
    private final double[] values;
    private final double[][] ends;
    private final double[] neverEnding;
    private final double[] exchanges;
    private final double[] seconds;
    private final ForcedEnds forced;

    private OddsSolver(SolvedMap solved) {
        this.solved = solved;
        this.index = solved.index();
        this.conditions = solved.conditions();
        this.game = solved.game();
        this.solution = solved.solution();
        this.values = solution.values();
        RoundChain chain = solved.chain();
        PlaceKind[] kinds = solved.kinds();
        this.ends = new double[PlaceKind.values().length][];
        for (PlaceKind kind : PlaceKind.values()) {
            boolean[] wanted = new boolean[game.places];
            for (int p = 0; p < game.places; p++) {
                wanted[p] = kinds[p] == kind;
            }
            ends[kind.ordinal()] = chain.endingAt(wanted);
        }
        this.neverEnding = chain.neverEnding();
        this.exchanges = chain.exchanges();
        this.seconds = chain.until(secondsOfAnExchange());
        this.forced = ForcedEnds.of(solved);
    }

    /**
     * The odds of {@code index}'s map under {@code setting}.
     *
     * @throws app.narrowgate.core.check.RefusedException when the map has no such aim
     */
    public static Odds solve(MapIndex index, Setting setting) {
        return of(SolvedMap.of(index, setting));
    }

    /** The odds of a solved map; they say themselves when the bounds did not meet. */
    public static Odds of(SolvedMap solved) {
        return new OddsSolver(solved).odds();
    }

    /**
     * Mean seconds of one exchange in each situation: until the reaction is under way or the clock moves on, whichever
     * is first, {@code E[min(t, T)]}; the clock's mean where nothing is tried, 0 where nothing happens.
     */
    private double[] secondsOfAnExchange() {
        double[] each = new double[game.places];
        for (int s = 0; s < game.situations; s++) {
            double mean = solved.clockSeconds(s);
            if (solution.choice(s) == Choice.Still.WAIT) {
                each[s] = mean;
            } else if (solution.choice(s) instanceof Choice.Try tried) {
                each[s] = InTime.meanOfEarlier(solved.takes(solved.reaction(tried.option())), mean);
            }
        }
        return each;
    }

    private Odds odds() {
        Map<Id, SituationOdds> situations = new LinkedHashMap<>();
        List<Situation> all = index.map().situations();
        for (int s = 0; s < all.size(); s++) {
            situations.put(all.get(s).id(), situation(all.get(s), s));
        }
        return new Odds(solved.setting(), situations, solved.startWorth(), solution.converged());
    }

    private SituationOdds situation(Situation situation, int s) {
        Optional<Id> best = solved.taught(s);
        EnumMap<PlaceKind, Double> endChances = new EnumMap<>(PlaceKind.class);
        for (PlaceKind kind : PlaceKind.values()) {
            endChances.put(kind, ends[kind.ordinal()][s]);
        }
        return new SituationOdds(situation.id(), solution.lower()[s], solution.upper()[s], best,
                solution.choice(s).rests(), endChances, neverEnding[s], forced.at(s),
                finite(exchanges[s]), finite(seconds[s]), margin(s), reactions(situation, s, best));
    }

    private static OptionalDouble finite(double value) {
        return Double.isInfinite(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** How much the best choice, stopping included, is worth above the next best. */
    private double margin(int s) {
        double second = solution.choice(s) instanceof Choice.Try ? game.worth[s] : 0;
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            second = solution.tries(s, o) ? second : Math.max(second, game.optionValue(s, o, values));
        }
        return Math.max(0, values[s] - second);
    }

    private List<ReactionOdds> reactions(Situation situation, int s, Optional<Id> best) {
        List<Reaction> usable = conditions.usable(situation);
        List<ReactionOdds> odds = new ArrayList<>();
        int option = game.optionStart[s];
        for (Reaction reaction : usable) {
            odds.add(reaction(situation, reaction, s, game.optionValue(s, option++, values)));
        }
        // The chosen one leads even where another reaches the same worth within the solver's gap; what nobody has given a
        // response to is not known yet, whatever a stuffed one is worth. Noise of the arithmetic orders nothing.
        odds.sort(Comparator.comparing((ReactionOdds r) -> best.filter(r.reaction()::equals).isEmpty())
                .thenComparing(r -> !r.known())
                .thenComparing(r -> -Math.rint(r.worth() / SAME)));
        for (Reaction reaction : index.reactionsFrom(situation.id())) {
            if (!usable.contains(reaction) && !solved.setting().without().contains(reaction.id())) {
                odds.add(reaction(situation, reaction, s, reaction.isWrong() ? wrong(reaction, s) : 0));
            }
        }
        return odds;
    }

    /** What it costs to do once what is wrong, and the best from then on. */
    private double wrong(Reaction reaction, int s) {
        double inTime = InTime.chance(solved.takes(reaction), solved.clockSeconds(s));
        double works = reaction.responses().isEmpty() ? 0 : conditions.works(reaction);
        double stuffed = values[solved.place(reaction.whenStuffed())];
        return inTime * (works * underWay(reaction, responses(reaction)) + (1 - works) * stuffed)
                + (1 - inTime) * values[game.becomes[s]];
    }

    private ReactionOdds reaction(Situation situation, Reaction reaction, int s, double worth) {
        double takes = solved.takes(reaction);
        double inTime = InTime.chance(takes, solved.clockSeconds(s));
        List<ResponseOdds> responses = responses(reaction);
        return new ReactionOdds(reaction.id(), conditions.closings(situation, reaction), takes, inTime,
                conditions.works(reaction), underWay(reaction, responses), worth, responses);
    }

    private double underWay(Reaction reaction, List<ResponseOdds> responses) {
        if (responses.isEmpty()) {
            return values[solved.place(reaction.whenStuffed())];
        }
        double mean = 0;
        double least = Double.POSITIVE_INFINITY;
        for (ResponseOdds response : responses) {
            mean += response.chance() * response.worth();
            least = Math.min(least, response.worth());
        }
        return solved.setting().read().blend(mean, least);
    }

    private List<ResponseOdds> responses(Reaction reaction) {
        double total = 0;
        for (Response response : reaction.responses()) {
            total += conditions.weight(reaction, response);
        }
        List<ResponseOdds> odds = new ArrayList<>();
        for (Response response : reaction.responses()) {
            Id lands = response.leads().orElseGet(reaction::whenStuffed);
            odds.add(new ResponseOdds(response.id(), conditions.weight(reaction, response) / total, lands,
                    response.leads().isPresent(), values[solved.place(lands)]));
        }
        return odds;
    }
}
