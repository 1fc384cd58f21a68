package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import java.util.List;

/** Says where the worth of a reaction comes from and where it is lost. */
public final class Explainer {

    private Explainer() {
    }

    /**
     * The breakdown of one usable reaction on a solved map.
     *
     * @throws RefusedException when the map has no such reaction, or the setting closes it
     * @throws NotConvergedException when the bounds did not meet
     */
    public static WorthBreakdown explain(SolvedMap solved, Id reactionId) {
        solved.converged();
        Reaction reaction = solved.index().reaction(reactionId).orElseThrow(
                () -> new RefusedException("No reaction is called “%s”.".formatted(reactionId)));
        int o = solved.option(reaction).orElseThrow(() -> new RefusedException(
                "“%s” is closed under this setting, so there is nothing to explain."
                        .formatted(solved.index().reactionTitle(reaction))));
        List<WorthBreakdown.Part> parts = solved.branches(reaction).stream()
                .map(branch -> new WorthBreakdown.Part(branch, solved.worth(branch.landing()))).toList();
        double worth = solved.game().optionValue(solved.place(reaction.from()), o, solved.solution().values());
        return new WorthBreakdown(reaction.from(), reaction.id(), worth, parts);
    }
}
