package app.narrowgate.core.round;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.RoundChain;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;

/**
 * The likeliest ways a whole round goes when the best reactions are chosen: every step told apart by what happened in
 * it, so that two responses with the same landing are two stories.
 *
 * <p>Best-first search over beginnings of rounds, the likeliest first; a beginning is never likelier than what it came
 * from, so the first complete rounds that come up are the likeliest of all. Stops after {@value #MOST_LOOKED_AT}
 * beginnings. A round that never ends is no story. Cost O(beginnings · log beginnings).
 */
public final class CommonStories {

    private static final int MOST_LOOKED_AT = 200_000;
    private static final int MOST_STORIES = 20;

    private CommonStories() {
    }

    /**
     * One way a round goes.
     *
     * @param chance that a round goes exactly so, in [0,1]
     */
    public record Story(List<Step> steps, Id end, double chance) {
        public Story {
            steps = List.copyOf(steps);
        }
    }

    /**
     * One exchange.
     *
     * @param reaction what you did; empty where nothing is taught
     * @param response what they did about it, where it got going
     */
    public record Step(Id situation, Optional<Id> reaction, Branch.Cause event, Optional<Id> response,
            Id lands) {
    }

    private record Beginning(Beginning before, Step step, int place, double chance) {
    }

    /**
     * The {@code most} likeliest stories on {@code solved}, likeliest first, from the starts or from one situation.
     * Fewer come back where fewer were found before the search was given up.
     *
     * @param most 1 to 20
     * @throws RefusedException for an unknown situation or a count outside
     */
    public static List<Story> of(SolvedMap solved, Optional<Id> from, int most) {
        if (!(most >= 1 && most <= MOST_STORIES)) {
            throw new RefusedException(
                    "%d stories; between 1 and %d can be told.".formatted(most, MOST_STORIES));
        }
        RoundChain chain = solved.converged().chain();
        PriorityQueue<Beginning> open =
                new PriorityQueue<>(Comparator.comparingDouble((Beginning b) -> -b.chance()));
        double[] starts = solved.startsAt(from);
        for (int place = 0; place < starts.length; place++) {
            if (starts[place] > 0) {
                open.add(new Beginning(null, null, place, starts[place]));
            }
        }
        List<Story> stories = new ArrayList<>();
        for (int looked = 0; looked < MOST_LOOKED_AT && stories.size() < most && !open.isEmpty(); looked++) {
            Beginning likeliest = open.remove();
            if (chain.ends(likeliest.place())) {
                stories.add(told(solved, likeliest));
            } else {
                goOn(solved, likeliest, open);
            }
        }
        return stories;
    }

    private static void goOn(SolvedMap solved, Beginning before, PriorityQueue<Beginning> open) {
        Id here = solved.placeId(before.place());
        Optional<Id> reaction = solved.best(before.place()).map(Reaction::id);
        for (Branch branch : solved.branches(here)) {
            Step step = new Step(here, reaction, branch.cause(), branch.response().map(LinkRef::response), branch.landing());
            open.add(new Beginning(before, step, solved.place(branch.landing()), before.chance() * branch.share()));
        }
    }

    private static Story told(SolvedMap solved, Beginning end) {
        Deque<Step> steps = new ArrayDeque<>();
        for (Beginning at = end; at.step() != null; at = at.before()) {
            steps.addFirst(at.step());
        }
        return new Story(List.copyOf(steps), solved.placeId(end.place()), end.chance());
    }
}
