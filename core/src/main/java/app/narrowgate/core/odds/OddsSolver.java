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
    private final Game game;
    private final Solution solution;
    private final double[] values;
    private final double[][] ends;
    private final double[] exchanges;
    private final Map<Id, Integer> place = new HashMap<>();

    private OddsSolver(MapIndex index, Setting setting) {
        this.index = index;
        this.setting = setting;
        this.game = GameCompiler.compile(index, setting);
        this.solution = IntervalIterationSolver.solve(game);
        this.values = solution.values();
        index.map().situations().forEach(s -> place.put(s.id(), place.size()));
        index.map().outcomes().forEach(o -> place.put(o.id(), place.size()));
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
    }

    /**
     * The odds of {@code index}'s map under {@code setting}.
     *
     * @throws IllegalArgumentException when the map has no such aim
     */
    public static Odds solve(MapIndex index, Setting setting) {
        return new OddsSolver(index, setting).solve();
    }

    private Odds solve() {
        Map<Id, SituationOdds> situations = new LinkedHashMap<>();
        double weighted = 0;
        double weight = 0;
        EscapeMap map = index.map();
        for (int s = 0; s < map.situations().size(); s++) {
            Situation situation = map.situations().get(s);
            situations.put(situation.id(), situation(situation, s));
            weighted += situation.entry() * values[s];
            weight += situation.entry();
        }
        return new Odds(setting, situations, weight > 0 ? weighted / weight : 0, solution.converged());
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
                Double.isInfinite(exchanges[s]) ? OptionalDouble.empty() : OptionalDouble.of(exchanges[s]),
                reactions(situation, s, best));
    }

    private List<ReactionOdds> reactions(Situation situation, int s, Optional<Id> best) {
        List<Reaction> usable = GameCompiler.usable(index, situation);
        List<ReactionOdds> odds = new ArrayList<>();
        int option = game.optionStart[s];
        for (Reaction reaction : usable) {
            odds.add(reaction(situation, reaction, usable.size(), game.optionValue(s, option++, values)));
        }
        // The chosen one leads even where another reaches the same worth within the solver's gap.
        odds.sort(Comparator.comparing((ReactionOdds r) -> !best.equals(Optional.of(r.reaction())))
                .thenComparing(ReactionOdds::worth, Comparator.reverseOrder()));
        for (Reaction reaction : index.reactionsFrom(situation.id())) {
            if (!usable.contains(reaction)) {
                odds.add(reaction(situation, reaction, usable.size(), 0));
            }
        }
        return odds;
    }

    private ReactionOdds reaction(Situation situation, Reaction reaction, int answers, double worth) {
        double takes = setting.late() + setting.thinking().seconds(answers) + reaction.seconds();
        double inTime = situation.clock().map(Clock::seconds).map(mean -> InTime.chance(takes, mean)).orElse(1.0);
        List<ResponseOdds> responses = responses(reaction);
        return new ReactionOdds(reaction.id(), closedBy(situation, reaction), takes, inTime,
                reaction.works().chance(), underWay(reaction, responses), worth, responses);
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

    private static List<Id> closedBy(Situation situation, Reaction reaction) {
        List<Id> closing = new ArrayList<>();
        reaction.needs().forEach((fact, needed) -> {
            Boolean known = situation.facts().get(fact);
            if (known != null && !known.equals(needed)) {
                closing.add(fact);
            }
        });
        return closing;
    }
}
