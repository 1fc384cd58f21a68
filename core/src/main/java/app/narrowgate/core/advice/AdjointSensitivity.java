package app.narrowgate.core.advice;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.Game;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Derivatives of the starts' worth by every rate at once.
 *
 * <p>With the best choices fixed the worth is {@code start · (I - P)^-1 · ends}, so its derivative by an entry of
 * {@code P} is (expected visits of the row) × (value of the column): one adjoint solve gives all. Where two choices are
 * equally good the worth has a corner, and this is the slope on the side of the present choice. Cost: linear in
 * the chain's fill.
 */
public final class AdjointSensitivity {

    private AdjointSensitivity() {
    }

    /** All derivatives on {@code solved}. */
    public static Sensitivities of(SolvedMap solved) {
        return of(solved, solved.starts());
    }

    /**
     * The same where rounds begin elsewhere.
     *
     * @param starts share of rounds that begin in each place, index place
     */
    public static Sensitivities of(SolvedMap solved, double[] starts) {
        Game game = solved.converged().game();
        double[] visits = solved.chain().visits(starts);
        double[] arrivals = solved.chain().arrivals(starts);
        double[] values = solved.solution().values();
        List<Sensitivities.OfReaction> all = new ArrayList<>();
        Map<Id, Double> come = new LinkedHashMap<>();
        for (int s = 0; s < game.situations; s++) {
            if (arrivals[s] > 0) {
                come.put(solved.placeId(s), arrivals[s]);
            }
            if (solved.solution().choice(s) instanceof Choice.Try tried && visits[s] > 0) {
                all.add(reaction(solved, tried.option(), visits[s], values));
            }
        }
        all.sort(Comparator.comparingDouble((Sensitivities.OfReaction r) -> Math.abs(r.perWorks())).reversed());
        return new Sensitivities(solved.startWorth(starts), come, all);
    }

    private static Sensitivities.OfReaction reaction(SolvedMap solved, int o, double visits, double[] values) {
        Game game = solved.game();
        Reaction reaction = solved.reaction(o);
        double inTime = game.going[o] + game.stuffedShare[o];
        boolean answered = game.responseStart[o] < game.responseStart[o + 1];
        double perWorks = answered ? visits * inTime * (game.underWay(o, values) - values[game.stuffed[o]]) : 0;
        double mean = 0;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            mean += game.chance[i] * values[game.landing[i]];
        }
        List<Sensitivities.OfResponse> responses = new ArrayList<>();
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            double rest = 1 - game.chance[i];
            double others = rest > 0 ? (mean - game.chance[i] * values[game.landing[i]]) / rest : 0;
            double perChance = rest > 0
                    ? visits * game.going[o] * game.read.habit() * (values[game.landing[i]] - others)
                    : 0;
            responses.add(new Sensitivities.OfResponse(
                    reaction.responses().get(i - game.responseStart[o]).id(), perChance));
        }
        return new Sensitivities.OfReaction(reaction.id(), visits, perWorks, responses);
    }
}
