package app.narrowgate.core.odds;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Computes the odds of a whole map: compile, solve, and say for every reaction and response what it is worth.
 *
 * <p>Precondition: the map has no {@link app.narrowgate.core.map.MapRules} problems. Deterministic. Cost: that of
 * {@link IntervalIterationSolver} plus one pass over the map.
 */
public final class OddsSolver {

    private final MapIndex index;
    private final Setting setting;
    private final Conditions conditions;
    private final Game game;
    private final Solution solution;
    private final double[] values;
    private final double[][] ends;
    private final double[] exchanges;
    private final double[] seconds;
    private final Map<Id, Integer> place;
    private final double start;

    private OddsSolver(Solved solved) {
        this.index = solved.index();
        this.setting = solved.setting();
        this.conditions = solved.conditions();
        this.game = solved.game();
        this.solution = solved.solution();
        this.place = solved.places();
        this.start = solved.startWorth();
        this.values = solution.values();
        RoundChain chain = RoundChain.of(game, solution);
        PlaceKind[] kinds = kinds();
        this.ends = new double[PlaceKind.values().length][];
        double[] anyEnd = new double[game.places];
        for (PlaceKind kind : PlaceKind.values()) {
            boolean[] wanted = new boolean[game.places];
            for (int p = 0; p < game.places; p++) {
                wanted[p] = kinds[p] == kind;
            }
            ends[kind.ordinal()] = chain.endingAt(wanted);
            for (int p = 0; p < game.places; p++) {
                anyEnd[p] += ends[kind.ordinal()][p];
            }
        }
        this.exchanges = chain.exchanges(anyEnd);
        this.seconds = chain.until(secondsOfAnExchange(), anyEnd);
    }

    /**
     * The odds of {@code index}'s map under {@code setting}.
     *
     * @throws IllegalArgumentException when the map has no such aim
     */
    public static Odds solve(MapIndex index, Setting setting) {
        return of(Solved.of(index, setting));
    }

    static Odds of(Solved solved) {
        return new OddsSolver(solved).solve();
    }

    /**
     * Mean seconds of one exchange in each situation: until the reaction is under way or the clock moves on, whichever is
     * first, {@code E[min(t, T)]}; 0 where nothing is chosen.
     */
    private double[] secondsOfAnExchange() {
        double[] each = new double[game.places];
        for (int s = 0; s < game.situations; s++) {
            int o = solution.choice()[s];
            if (o == Solution.STOP) {
                continue;
            }
            Situation situation = index.map().situations().get(s);
            double mean = situation.clock().map(Clock::seconds).orElse(Double.POSITIVE_INFINITY);
            if (game.optionReaction[o] == Game.WAIT) {
                each[s] = mean;
            } else {
                Reaction reaction = index.map().reactions().get(game.optionReaction[o]);
                each[s] = InTime.meanOfEarlier(takes(reaction, conditions.usable(situation).size()), mean);
            }
        }
        return each;
    }

    private double takes(Reaction reaction, int answers) {
        return setting.late() + setting.thinking().seconds(answers) + conditions.seconds(reaction);
    }

    private Odds solve() {
        Map<Id, SituationOdds> situations = new LinkedHashMap<>();
        EscapeMap map = index.map();
        for (int s = 0; s < map.situations().size(); s++) {
            Situation situation = map.situations().get(s);
            situations.put(situation.id(), situation(situation, s));
        }
        return new Odds(setting, situations, start, solution.converged());
    }

    private PlaceKind[] kinds() {
        PlaceKind[] kinds = new PlaceKind[game.places];
        index.map().situations().forEach(s -> kinds[place.get(s.id())] = s.rest().orElse(null));
        index.map().outcomes().forEach(o -> kinds[place.get(o.id())] = o.kind());
        return kinds;
    }

    private SituationOdds situation(Situation situation, int s) {
        int choice = solution.choice()[s];
        boolean stop = choice == Solution.STOP;
        Optional<Id> best = stop || game.optionReaction[choice] == Game.WAIT
                ? Optional.empty()
                : Optional.of(index.map().reactions().get(game.optionReaction[choice]).id());
        EnumMap<PlaceKind, Double> endChances = new EnumMap<>(PlaceKind.class);
        for (PlaceKind kind : PlaceKind.values()) {
            endChances.put(kind, ends[kind.ordinal()][s]);
        }
        return new SituationOdds(situation.id(), solution.lower()[s], solution.upper()[s], best,
                stop && situation.rest().isPresent(), endChances,
                finite(exchanges[s]), finite(seconds[s]), margin(s, choice),
                reactions(situation, s, best));
    }

    private static OptionalDouble finite(double value) {
        return Double.isInfinite(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    /** How much the best choice, stopping included, is worth above the next best. */
    private double margin(int s, int choice) {
        double second = choice == Solution.STOP ? 0 : game.worth[s];
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            second = o == choice ? second : Math.max(second, game.optionValue(s, o, values));
        }
        return Math.max(0, values[s] - second);
    }

    private List<ReactionOdds> reactions(Situation situation, int s, Optional<Id> best) {
        List<Reaction> usable = conditions.usable(situation);
        List<ReactionOdds> odds = new ArrayList<>();
        int option = game.optionStart[s];
        for (Reaction reaction : usable) {
            odds.add(reaction(situation, reaction, usable.size(), game.optionValue(s, option++, values)));
        }
        // The chosen one leads even where another reaches the same worth within the solver's gap.
        odds.sort(Comparator.comparing((ReactionOdds r) -> !best.equals(Optional.of(r.reaction())))
                .thenComparing(ReactionOdds::worth, Comparator.reverseOrder()));
        for (Reaction reaction : index.reactionsFrom(situation.id())) {
            if (!usable.contains(reaction) && !setting.without().contains(reaction.id())) {
                odds.add(reaction(situation, reaction, usable.size(), 0));
            }
        }
        return odds;
    }

    private ReactionOdds reaction(Situation situation, Reaction reaction, int answers, double worth) {
        double takes = takes(reaction, answers);
        double inTime = situation.clock().map(Clock::seconds).map(mean -> InTime.chance(takes, mean)).orElse(1.0);
        List<ResponseOdds> responses = responses(reaction);
        return new ReactionOdds(reaction.id(), conditions.closings(situation, reaction), takes, inTime,
                conditions.works(reaction), underWay(reaction, responses), worth, responses);
    }

    private double underWay(Reaction reaction, List<ResponseOdds> responses) {
        if (responses.isEmpty()) {
            return values[place.get(reaction.whenStuffed())];
        }
        double mean = responses.stream().mapToDouble(r -> r.chance() * r.worth()).sum();
        double least = responses.stream().mapToDouble(ResponseOdds::worth).min().orElseThrow();
        return (1 - setting.read()) * mean + setting.read() * least;
    }

    private List<ResponseOdds> responses(Reaction reaction) {
        double total = reaction.responses().stream().mapToDouble(r -> r.often().weight()).sum();
        List<ResponseOdds> odds = new ArrayList<>();
        for (Response response : reaction.responses()) {
            Id lands = response.leads().orElseGet(reaction::whenStuffed);
            odds.add(new ResponseOdds(response.id(), response.often().weight() / total, lands,
                    response.leads().isPresent(), values[place.get(lands)]));
        }
        return odds;
    }
}
