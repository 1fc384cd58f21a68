package app.narrowgate.core.odds;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A map compiled and solved under one setting: what every question about it starts from.
 *
 * @param places id to index of every situation and outcome
 */
record Solved(MapIndex index, Setting setting, Conditions conditions, Game game, Solution solution,
        Map<Id, Integer> places) {

    static Solved of(MapIndex index, Setting setting) {
        Game game = GameCompiler.compile(index, setting);
        return new Solved(index, setting, Conditions.of(index, setting), game, IntervalIterationSolver.solve(game),
                places(index.map()));
    }

    /**
     * The same, for whoever concludes something from it.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    static Solved converged(MapIndex index, Setting setting) {
        Solved solved = of(index, setting);
        if (!solved.solution.converged()) {
            throw new NotConvergedException();
        }
        return solved;
    }

    private static Map<Id, Integer> places(EscapeMap map) {
        Map<Id, Integer> places = new HashMap<>();
        map.situations().forEach(s -> places.put(s.id(), places.size()));
        map.outcomes().forEach(o -> places.put(o.id(), places.size()));
        return places;
    }

    EscapeMap map() {
        return index.map();
    }

    /** Share of students who start in each situation; all 0 where nobody starts anywhere. */
    double[] starts() {
        List<Double> weights = map().situations().stream().map(s -> s.entry()).toList();
        double total = weights.stream().mapToDouble(w -> w).sum();
        double[] starts = new double[game.places];
        for (int s = 0; s < weights.size(); s++) {
            starts[s] = total > 0 ? weights.get(s) / total : 0;
        }
        return starts;
    }

    /**
     * Where a round begins: at the starts, or surely in one situation.
     *
     * @throws IllegalArgumentException when there is no such situation
     */
    double[] startsAt(Optional<Id> from) {
        if (from.isEmpty()) {
            return starts();
        }
        Integer place = places.get(from.get());
        if (place == null || place >= game.situations) {
            throw new IllegalArgumentException("No situation is called “%s”.".formatted(from.get()));
        }
        double[] start = new double[game.places];
        start[place] = 1;
        return start;
    }

    /** Worth over the starts, weighted by how often students start there. */
    double startWorth() {
        double[] starts = starts();
        double worth = 0;
        for (int s = 0; s < game.situations; s++) {
            worth += starts[s] * solution.value(s);
        }
        return worth;
    }

    /** The id of a place by its index. */
    Id placeId(int place) {
        return place < game.situations
                ? map().situations().get(place).id()
                : map().outcomes().get(place - game.situations).id();
    }

    /** The id of the reaction behind an option that is not waiting. */
    Id reactionId(int option) {
        return map().reactions().get(game.optionReaction[option]).id();
    }
}
