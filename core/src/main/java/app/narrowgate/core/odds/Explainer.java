package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says where the worth of a reaction comes from and where it is lost. */
public final class Explainer {

    private Explainer() {
    }

    /**
     * The breakdown of one usable reaction. Cost: one solve.
     *
     * @throws IllegalArgumentException when the map has no such reaction, or the setting closes it
     */
    public static WorthBreakdown explain(MapIndex index, Setting setting, Id reactionId) {
        Solved solved = Solved.converged(index, setting);
        Reaction reaction = index.reaction(reactionId).orElseThrow(
                () -> new IllegalArgumentException("No reaction is called “%s”.".formatted(reactionId)));
        int s = solved.places().get(reaction.from());
        Game game = solved.game();
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (game.optionReaction[o] != Game.WAIT && solved.reactionId(o).equals(reactionId)) {
                return explain(solved, reaction, s, o);
            }
        }
        throw new IllegalArgumentException("“%s” is closed under this setting, so there is nothing to explain."
                .formatted(index.reactionTitle(reaction)));
    }

    private static WorthBreakdown explain(Solved solved, Reaction reaction, int s, int o) {
        Game game = solved.game();
        double[] values = solved.solution().values();
        List<WorthBreakdown.Part> parts = new ArrayList<>();
        add(parts, solved, WorthBreakdown.Cause.TOO_SLOW, Optional.empty(), game.lateShare[o], game.becomes[s], values);
        add(parts, solved, WorthBreakdown.Cause.STUFFED, Optional.empty(), game.stuffedShare[o], game.stuffed[o],
                values);
        if (game.going[o] > 0) {
            int worst = game.worstResponse(o, values);
            for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
                double chance = (1 - game.read) * game.chance[i] + (i == worst ? game.read : 0);
                Id response = reaction.responses().get(i - game.responseStart[o]).id();
                add(parts, solved, WorthBreakdown.Cause.RESPONSE, Optional.of(response), game.going[o] * chance,
                        game.landing[i], values);
            }
        }
        return new WorthBreakdown(reaction.from(), reaction.id(), game.optionValue(s, o, values), parts);
    }

    private static void add(List<WorthBreakdown.Part> parts, Solved solved, WorthBreakdown.Cause cause,
            Optional<Id> response, double chance, int place, double[] values) {
        if (chance > 0) {
            parts.add(new WorthBreakdown.Part(cause, response, chance, solved.placeId(place), values[place]));
        }
    }
}
