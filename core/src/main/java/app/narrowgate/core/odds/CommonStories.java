package app.narrowgate.core.odds;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
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
 * beginnings. Cost O(beginnings · log beginnings) after one solve.
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
    public record Step(Id situation, Optional<Id> reaction, RoundSimulation.Event event, Optional<Id> response,
            Id lands) {
    }

    private record Beginning(Beginning before, Step step, int place, double chance) {
    }

    /**
     * The {@code most} likeliest stories under {@code setting}, likeliest first, from the starts or from one situation.
     * Fewer come back where fewer were found before the search was given up.
     *
     * @param most 1 to 20
     * @throws IllegalArgumentException for an unknown situation or a count outside
     */
    public static List<Story> of(MapIndex index, Setting setting, Optional<Id> from, int most) {
        if (!(most >= 1 && most <= MOST_STORIES)) {
            throw new IllegalArgumentException(
                    "%d stories; between 1 and %d can be told.".formatted(most, MOST_STORIES));
        }
        Solved solved = Solved.converged(index, setting);
        Game game = solved.game();
        RoundChain chain = RoundChain.of(game, solved.solution());
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

    private static void goOn(Solved solved, Beginning before, PriorityQueue<Beginning> open) {
        Game game = solved.game();
        int s = before.place();
        int o = solved.solution().choice()[s];
        boolean waits = game.optionReaction[o] == Game.WAIT;
        Optional<Id> reaction = waits ? Optional.empty() : Optional.of(solved.reactionId(o));
        add(solved, before, reaction, waits ? RoundSimulation.Event.WAITED : RoundSimulation.Event.TOO_SLOW,
                Optional.empty(), game.becomes[s], game.lateShare[o], open);
        add(solved, before, reaction, RoundSimulation.Event.STUFFED, Optional.empty(), game.stuffed[o],
                game.stuffedShare[o], open);
        int worst = game.going[o] > 0 ? game.worstResponse(o, solved.solution().values()) : -1;
        for (int i = game.responseStart[o]; i < game.responseStart[o + 1]; i++) {
            double habit = (1 - game.read) * game.chance[i];
            Id response = solved.map().reactions().get(game.optionReaction[o]).responses()
                    .get(i - game.responseStart[o]).id();
            add(solved, before, reaction, RoundSimulation.Event.RESPONSE, Optional.of(response), game.landing[i],
                    game.going[o] * (i == worst ? habit + game.read : habit), open);
        }
    }

    private static void add(Solved solved, Beginning before, Optional<Id> reaction, RoundSimulation.Event event,
            Optional<Id> response, int lands, double share, PriorityQueue<Beginning> open) {
        if (share > 0) {
            Step step = new Step(solved.placeId(before.place()), reaction, event, response, solved.placeId(lands));
            open.add(new Beginning(before, step, lands, before.chance() * share));
        }
    }

    private static Story told(Solved solved, Beginning end) {
        Deque<Step> steps = new ArrayDeque<>();
        for (Beginning at = end; at.step() != null; at = at.before()) {
            steps.addFirst(at.step());
        }
        return new Story(List.copyOf(steps), solved.placeId(end.place()), end.chance());
    }
}
