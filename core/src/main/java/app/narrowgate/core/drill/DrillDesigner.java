package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Designs the drills that a coach asks for with one word, from what the map says. */
public final class DrillDesigner {

    /** Calls that are kept apart by ear at once. */
    private static final int CALLS = 4;
    /** Words that say nothing when they are shouted alone. */
    private static final Set<String> LITTLE = Set.of("they", "their", "them", "the", "a", "an", "you", "your", "and", "is", "are", "has", "have", "of", "theirs", "yours");
    /** A word with fewer letters is not understood across a hall. */
    private static final int SHORT = 6;

    private DrillDesigner() {
    }

    /**
     * The everyday drill: three to five recoveries at random, then what the partner's stance asks for, swap.
     *
     * <p>Begun from a place of rest, the calls are what is fed from there; begun from any other, it is that place and what
     * is fed from the rest that it most surely leads to. Of each the best answer's link that leads back to a rest is
     * taken, from which the next can be fed. Finishes are reversals from that rest.
     *
     * @throws RefusedException when nothing there leads to a place of rest
     */
    public static Drill everyday(PracticeGraph graph, Id place, double minutes) {
        Situation from = graph.solved().index().situation(place)
                .orElseThrow(() -> new RefusedException("No situation is called “%s”.".formatted(place)));
        Id rest = from.rest().isPresent() && !graph.feeds(place).isEmpty() ? place : restOf(graph, place);
        Set<Id> starts = new LinkedHashSet<>();
        if (!rest.equals(place)) {
            starts.add(place);
        }
        starts.addAll(graph.feeds(rest));
        List<LinkRef> calls = new ArrayList<>();
        for (boolean strict : new boolean[] {true, false}) {
            for (Id start : calls.size() > 1 ? List.<Id>of() : starts) {
                recovery(graph, start, rest, starts, strict).filter(link -> calls.size() < CALLS && !calls.contains(link))
                        .ifPresent(calls::add);
            }
        }
        if (calls.isEmpty()) {
            throw new RefusedException("Nothing from “%s” leads back to a place of rest; there is nothing to go round."
                    .formatted(from.title()));
        }
        List<LinkRef> finishes = graph.linksFrom(rest).stream().filter(link -> graph.then(link.landing()).isPresent())
                .map(PracticeLink::ref).limit(CALLS).toList();
        return new Drill("Three to five out, then on top", DrillKind.ROUND_PATTERN, Optional.of(place), List.of(), calls, finishes,
                List.of(), List.of(), 3, 5, 2, minutes, List.of(Side.LEFT, Side.RIGHT), Map.of(), "", 1);
    }

    /** The place of rest that the answers of {@code place} lead to, the best answer's first. */
    private static Id restOf(PracticeGraph graph, Id place) {
        return graph.linksFrom(place).stream().map(PracticeLink::landing)
                .filter(landing -> !graph.feeds(landing).isEmpty() && isRest(graph, landing)).findFirst()
                .orElseThrow(() -> new RefusedException("Nothing from “%s” leads to a place of rest; there is nothing to go round."
                        .formatted(graph.solved().index().placeTitle(place))));
    }

    private static boolean isRest(PracticeGraph graph, Id place) {
        return graph.solved().index().situation(place).flatMap(Situation::rest)
                .filter(kind -> kind != PlaceKind.TURTLE).isPresent();
    }

    /**
     * The link from {@code start} after which the drill can go on at once: back to {@code rest}, or, not so strictly, to
     * one that feeds some of {@code starts}.
     */
    private static Optional<LinkRef> recovery(PracticeGraph graph, Id start, Id rest, Set<Id> starts, boolean strict) {
        return graph.linksFrom(start).stream()
                .filter(link -> link.landing().equals(rest) || isRest(graph, link.landing()) && (strict
                        ? graph.feeds(link.landing()).containsAll(starts)
                        : graph.feeds(link.landing()).stream().anyMatch(starts::contains)))
                .findFirst().map(PracticeLink::ref);
    }

    /** The called drill of one situation: the links most often met on its best answers. */
    public static Drill from(PracticeGraph graph, Id place, int links, double minutes) {
        return from(graph, place, Set.of(), links, minutes);
    }

    /**
     * The same with the links {@code first} before the others, as far as the pair may practise them.
     *
     * @throws RefusedException when nothing can be practised from there
     */
    public static Drill from(PracticeGraph graph, Id place, Set<LinkRef> first, int links, double minutes) {
        List<LinkRef> all = graph.linksFrom(place).stream().map(PracticeLink::ref)
                .sorted(Comparator.comparing(link -> !first.contains(link))).toList();
        if (all.isEmpty()) {
            graph.requireOpen(place);
            throw new RefusedException("Nothing can be drilled from here yet: no answer has an answered response. Add one on the map.");
        }
        String title = graph.solved().index().placeTitle(place);
        return Drill.of(title, DrillKind.CALLED, Optional.of(place), all.stream().limit(links).toList()).lasting(minutes);
    }

    /**
     * The called drill of some reactions wherever they start, such as those that deny a hold from early to late: of each the
     * link most often met.
     *
     * @throws RefusedException when none of them can be practised by the pair
     */
    public static Drill answering(PracticeGraph graph, String title, List<Id> reactions, double minutes) {
        List<LinkRef> calls = new ArrayList<>();
        for (Id id : new LinkedHashSet<>(reactions)) {
            graph.solved().index().reaction(id).ifPresent(reaction -> graph.linksFrom(reaction.from()).stream()
                    .map(PracticeLink::ref).filter(link -> link.reaction().equals(id)).findFirst().ifPresent(calls::add));
        }
        if (calls.isEmpty()) {
            throw new RefusedException("Nothing against “%s” can be drilled by this pair yet: no denial has an answered response."
                    .formatted(title));
        }
        return Drill.called(title, calls.stream().limit(Drill.MOST_LINKS).toList()).lasting(minutes);
    }

    /** The drill that keeps look-alikes apart: two calls from each, the dearest pair's first. */
    public static Drill apart(PracticeGraph graph, LookAlike pair, double minutes) {
        List<LinkRef> calls = new ArrayList<>();
        for (LookAlike.Half half : List.of(pair.one(), pair.other())) {
            graph.linksFrom(half.situation()).stream().filter(link -> link.ref().reaction().equals(half.answer()))
                    .limit(2).map(PracticeLink::ref).forEach(calls::add);
        }
        var index = graph.solved().index();
        return Drill.called("Apart: %s".formatted(index.placeTitle(pair.one().situation())), calls).lasting(minutes);
    }

    /**
     * A word to shout for each link where the drill has none: the first words of the place where it starts, or where
     * several start there of what calls for the answer, or of what they do then; with a number where two would be alike.
     */
    public static Map<LinkRef, String> words(PracticeGraph graph, Collection<LinkRef> links, Map<LinkRef, String> own) {
        Map<Id, Integer> starting = new LinkedHashMap<>();
        Map<Id, Integer> answered = new LinkedHashMap<>();
        links.forEach(ref -> starting.merge(graph.link(ref).start(), 1, Integer::sum));
        links.forEach(ref -> answered.merge(ref.reaction(), 1, Integer::sum));
        Map<LinkRef, String> words = new LinkedHashMap<>();
        Map<String, Integer> taken = new LinkedHashMap<>();
        for (LinkRef ref : links) {
            String given = own.get(ref);
            if (given == null) {
                Reaction reaction = graph.solved().index().reaction(ref.reaction()).orElseThrow();
                Id start = graph.link(ref).start();
                String told = answered.get(ref.reaction()) == 1 && !reaction.when().isEmpty() ? reaction.when()
                        : reaction.response(ref.response()).orElseThrow().cue();
                String word = inShort(starting.get(start) > 1 ? told : graph.solved().index().placeTitle(start));
                int count = taken.merge(word, 1, Integer::sum);
                given = count > 1 ? word + " " + count : word;
            }
            words.put(ref, given);
        }
        return words;
    }

    /** The first words that say something, two where the first is short: "They let go and stand" is "Let go". */
    private static String inShort(String sentence) {
        List<String> saying = Stream.of(sentence.split("[ ,]+"))
                .filter(word -> !LITTLE.contains(word.toLowerCase(Locale.ROOT))).toList();
        if (saying.isEmpty()) {
            return sentence;
        }
        String word = saying.size() > 1 && saying.get(0).length() < SHORT ? saying.get(0) + " " + saying.get(1) : saying.get(0);
        return word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1);
    }
}
