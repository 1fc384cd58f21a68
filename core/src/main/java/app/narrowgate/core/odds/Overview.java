package app.narrowgate.core.odds;

import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.solve.Solution;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * A solved map at a glance: what a hand that moves a slider looks at. Nothing of single reactions is worked out, which is
 * most of what {@link OddsSolver} does.
 *
 * @param start worth in [0,1] over the entry situations, weighted by how often students start there
 * @param converged false when some bounds are further apart than a millionth; the values are then not to be shown
 * @param glances one for each situation, in the map's order
 */
public record Overview(Setting setting, double start, boolean converged, List<Glance> glances) {

    public Overview {
        glances = List.copyOf(glances);
    }

    /** The overview of a solved map. Cost: one {@link RoundChain}, and three of its questions. */
    public static Overview of(SolvedMap solved) {
        Game game = solved.game();
        Solution solution = solved.solution();
        double[] guardOrBetter = endingIn(solved, SituationOdds.GUARD_OR_BETTER);
        double[] reversal = endingIn(solved, EnumSet.of(PlaceKind.REVERSAL));
        double[] tap = endingIn(solved, EnumSet.of(PlaceKind.TAP));
        ForcedEnds forced = ForcedEnds.of(solved);
        List<Situation> situations = solved.map().situations();
        List<Glance> glances = new ArrayList<>();
        for (int s = 0; s < game.situations; s++) {
            boolean usable = false;
            for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
                usable |= !game.waits(o);
            }
            glances.add(new Glance(situations.get(s).id(), solution.value(s), solved.taught(s), solution.choice(s).rests(), usable,
                    guardOrBetter[s], reversal[s], tap[s], forced.at(s)));
        }
        return new Overview(solved.setting(), solved.startWorth(), solution.converged(), glances);
    }

    private static double[] endingIn(SolvedMap solved, Set<PlaceKind> kinds) {
        PlaceKind[] of = solved.kinds();
        boolean[] wanted = new boolean[of.length];
        for (int place = 0; place < of.length; place++) {
            wanted[place] = of[place] != null && kinds.contains(of[place]);
        }
        return solved.chain().endingAt(wanted);
    }
}
