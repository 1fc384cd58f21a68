package app.narrowgate.core.drill;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;

/**
 * Cues for the eyes: answers with a trigger, each among others that one could take for it.
 *
 * <p>The wrong choices are, in this order, what is taught in the same place, what is best in a look-alike of it, and what
 * is best elsewhere in its family and then anywhere. Cards are drawn with chances as their price, what costs more more
 * often, and what is half forgotten as often again; how many choices there are goes round, so that the times can be fitted
 * ({@link ReadingFit}). Deterministic for a
 * seed. Cost O(situations²).
 */
public final class ReadingDeck {

    /** Cards of one sitting. */
    public static final Range CARDS = new Range(1, 60, "cards");
    private static final int[] CHOICES = {2, 4, 3, 6};
    /** A card that costs nothing is drawn too, now and then. */
    private static final double LEAST = 1e-4;
    /** How much more often a card is drawn of which everything is forgotten; our estimate. */
    private static final double FORGOTTEN = 2;

    private final PracticeGraph graph;
    private final SolvedMap solved;
    private final Random random;
    private final double[] visits;
    private final Map<Id, Double> forgotten;

    private ReadingDeck(PracticeGraph graph, Map<Id, Double> forgotten, long seed) {
        this.graph = graph;
        this.forgotten = forgotten;
        this.solved = graph.solved();
        this.random = Lot.of(seed);
        this.visits = solved.chain().visits(solved.starts());
    }

    /** Up to {@code cards} cards; fewer where the map has fewer answers with a trigger. */
    public static List<ReadingCard> of(PracticeGraph graph, int cards, long seed) {
        return of(graph, Map.of(), cards, seed);
    }

    /**
     * The same for somebody.
     *
     * @param forgotten reaction to how much of it is gone, in [0,1]; those that are missing are as new
     */
    public static List<ReadingCard> of(PracticeGraph graph, Map<Id, Double> forgotten, int cards, long seed) {
        CARDS.require("The number of cards", cards);
        forgotten.values().forEach(gone -> Range.CHANCE.require("What is forgotten", gone));
        return new ReadingDeck(graph, forgotten, seed).draw(cards);
    }

    private List<ReadingCard> draw(int cards) {
        List<Reaction> cues = new ArrayList<>();
        for (Situation situation : solved.map().situations()) {
            for (Reaction reaction : solved.conditions().usable(situation)) {
                if (!reaction.when().isEmpty() && !graph.closesOnAChild(situation.id())) {
                    cues.add(reaction);
                }
            }
        }
        List<ReadingCard> drawn = new ArrayList<>();
        while (drawn.size() < cards && !cues.isEmpty()) {
            List<ReadingCard> offered = new ArrayList<>();
            int choices = CHOICES[drawn.size() % CHOICES.length];
            cues.forEach(cue -> offered.add(card(cue, choices)));
            int next = Lot.drawn(random, offered.stream().mapToDouble(this::chance).toArray());
            drawn.add(shuffled(offered.get(next)));
            cues.remove(next);
        }
        return drawn;
    }

    private double chance(ReadingCard card) {
        return Math.max(LEAST, card.price()) * (1 + FORGOTTEN * forgotten.getOrDefault(card.reaction(), 0.0));
    }

    private ReadingCard card(Reaction right, int count) {
        Situation situation = solved.index().situation(right.from()).orElseThrow();
        Set<Id> wrong = new LinkedHashSet<>();
        solved.conditions().usable(situation).stream().sorted(Comparator.comparingDouble(graph::worth).reversed())
                .forEach(reaction -> wrong.add(reaction.technique()));
        best(other -> LookAlikes.areAlike(situation, other), wrong);
        best(other -> other.family().equals(situation.family()), wrong);
        best(other -> true, wrong);
        wrong.remove(right.technique());
        List<ReadingCard.Choice> choices = new ArrayList<>();
        double worth = graph.worth(right);
        choices.add(new ReadingCard.Choice(right.technique(), worth, true));
        wrong.stream().limit(count - 1L).forEach(id -> choices.add(new ReadingCard.Choice(id, graph.worthOf(situation, id), false)));
        double next = choices.stream().skip(1).mapToDouble(ReadingCard.Choice::worth).max().orElse(worth);
        return new ReadingCard(situation.id(), right.id(), choices,
                visits[solved.place(situation.id())] * Math.max(0, worth - next));
    }

    private void best(Predicate<Situation> where, Set<Id> into) {
        for (Situation other : solved.map().situations()) {
            Optional<Reaction> best = where.test(other) ? solved.best(solved.place(other.id())) : Optional.empty();
            best.ifPresent(reaction -> into.add(reaction.technique()));
        }
    }

    private ReadingCard shuffled(ReadingCard card) {
        List<ReadingCard.Choice> choices = new ArrayList<>(card.choices());
        Lot.shuffle(choices, random);
        return new ReadingCard(card.situation(), card.reaction(), choices, card.price());
    }
}
