package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.ResponseOdds;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Makes a drill sheet from a situation: the links most often met on the best reactions, as many repetitions as the time
 * allows, the same work for both sides and both roles.
 *
 * <p>Links are taken reaction by reaction in the order of the odds, within a reaction by how often the response comes;
 * an unanswered response and a closed reaction give no link. Nobody closes a finish on a child: a sheet for children has
 * no link that lands where one is closing, or in the tap, and there is none that begins there. Deterministic for a seed.
 */
public final class DrillSheetMaker {

    /** Seconds to get back into the starting place; the project's own estimate, no source. */
    static final double SETTING_UP = 5;
    /** Seconds of the top player's response; the project's own estimate, no source. */
    static final double RESPONDING = 2;
    private static final int BLOCKS = 4;
    /** Often enough that each comes after each, seldom enough to stay a look and not a habit. */
    private static final int SPOTTED = 2;

    private DrillSheetMaker() {
    }

    /**
     * The sheet for {@code request}.
     *
     * @param odds the solved odds of {@code index}'s map
     * @throws RefusedException when the situation has no answered response to drill, or the time does not
     *     allow one repetition of each link
     */
    public static DrillSheet make(MapIndex index, Odds odds, DrillRequest request) {
        boolean children = odds.setting().matchup().age() == AgeGroup.CHILDREN;
        if (children && isClosing(index, request.situation())) {
            throw new RefusedException("Nobody closes this on a child, so there is no sheet for it. What is taught here is: "
                    + "tap. Drill the place before it.");
        }
        List<DrillLink> links = links(index, odds, request, children);
        if (links.isEmpty()) {
            throw new RefusedException(
                    "Nothing can be drilled from here yet: no reaction has an answered response. Add one on the map.");
        }
        double once = links.stream().mapToDouble(DrillLink::seconds).sum();
        int repetitions = (int) Math.min(CallOrder.MOST_REPETITIONS, request.minutes() * 60 / (BLOCKS * once));
        if (repetitions < 1) {
            throw new RefusedException(
                    "%d links on both sides in both roles take %.1f minutes; take more time or fewer links."
                            .formatted(links.size(), BLOCKS * once / 60));
        }
        List<Id> mistakes = index.reactionsFrom(request.situation()).stream().filter(Reaction::isWrong).map(Reaction::id)
                .limit(CallOrder.MOST_CALLS - links.size()).toList();
        List<Integer> spotting = mistakes.isEmpty() ? List.of()
                : CallOrder.of(links.size() + mistakes.size(), SPOTTED, request.seed());
        return new DrillSheet(request.situation(), links, repetitions, blocks(links.size(), repetitions, request),
                BLOCKS * repetitions * once / 60, mistakes, spotting);
    }

    /** True where a finish is about to close. */
    private static boolean isClosing(MapIndex index, Id place) {
        return index.situation(place).filter(s -> s.isAt(Stage.LAST_CHANCE)).isPresent()
                && index.map().holds().stream().anyMatch(h -> h.kind() == Hold.Kind.FINISH && h.at().contains(place))
                || index.outcome(place).filter(o -> o.kind() == PlaceKind.TAP).isPresent();
    }

    private static List<DrillLink> links(MapIndex index, Odds odds, DrillRequest request, boolean children) {
        List<DrillLink> links = new ArrayList<>();
        for (ReactionOdds reaction : odds.at(request.situation()).reactions()) {
            if (!reaction.usable()) {
                continue;
            }
            Reaction taught = index.reaction(reaction.reaction()).orElseThrow();
            reaction.responses().stream()
                    .filter(ResponseOdds::answered)
                    .filter(response -> !children || !isClosing(index, response.lands()))
                    .sorted(Comparator.comparingDouble(ResponseOdds::chance).reversed())
                    .forEach(response -> links.add(link(taught.id(), response, reaction.takes(),
                            NextStep.after(index, odds, response.lands()))));
        }
        return links.subList(0, Math.min(request.links(), links.size()));
    }

    private static DrillLink link(Id reaction, ResponseOdds response, double takes, NextStep next) {
        return new DrillLink(reaction, response.response(), response.lands(), next, SETTING_UP + takes + RESPONDING);
    }

    private static List<DrillBlock> blocks(int links, int repetitions, DrillRequest request) {
        List<DrillBlock> blocks = new ArrayList<>();
        for (Side side : List.of(request.weakSide(), request.weakSide().other())) {
            for (Role role : Role.values()) {
                long seed = 31 * request.seed() + blocks.size();
                blocks.add(new DrillBlock(role, side, CallOrder.of(links, repetitions, seed)));
            }
        }
        return blocks;
    }
}
