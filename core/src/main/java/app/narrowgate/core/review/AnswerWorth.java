package app.narrowgate.core.review;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Word;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SituationOdds;
import app.narrowgate.core.odds.SolvedMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an answer to a question would be worth. A question about a situation is taken for a response that they sometimes
 * make to the best reaction taught there and that counts as stuffed until it is answered; the answer is taken to reach
 * what the aim gives a guard.
 *
 * <p>A first-order upper estimate in the worth of the starts: {@code visits · inTime · works · (1 - λ) · share ·
 * (guard - stuffed)}. Cost: the odds and one adjoint solve for all questions together.
 */
public final class AnswerWorth {

    private final MapIndex index;
    private final Setting setting;
    private final Odds odds;
    private final Map<Id, Double> visits = new HashMap<>();
    private final Landings landings;

    /** For questions about {@code solved}. */
    public AnswerWorth(SolvedMap solved) {
        this.index = solved.index();
        this.setting = solved.setting();
        this.odds = OddsSolver.of(solved);
        this.landings = new Landings(solved);
        AdjointSensitivity.of(solved).reactions().forEach(r -> visits.put(r.reaction(), r.visits()));
    }

    /** The estimate for a question about a situation, at least 0; empty where nothing is taught there. */
    public OptionalDouble of(Id situationId) {
        Optional<Situation> situation = index.situation(situationId);
        if (situation.isEmpty()) {
            return OptionalDouble.empty();
        }
        SituationOdds at = odds.at(situationId);
        Optional<ReactionOdds> best = at.best()
                .flatMap(id -> at.reactions().stream().filter(r -> r.reaction().equals(id)).findFirst());
        return best.map(reaction -> OptionalDouble.of(estimate(reaction))).orElse(OptionalDouble.empty());
    }

    private double estimate(ReactionOdds best) {
        var reaction = index.reaction(best.reaction()).orElseThrow();
        double others = reaction.responses().stream().map(Response::often).mapToDouble(o -> o.weight()).sum();
        double share = Word.SOMETIMES.weight() / (others + Word.SOMETIMES.weight());
        double under = visits.getOrDefault(best.reaction(), 0.0) * best.inTime() * best.works() * setting.read().habit();
        return Math.max(0, under * share * (landings.guard() - landings.worth(reaction.whenStuffed())));
    }
}
