package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What to keep apart: pairs of situations whose held segments differ in at most two, where neither the partner's bearing
 * nor a fact that is known of both tells them apart, and whose best answers are different techniques. The price of taking
 * one for the other is how often it comes up times what the wrong answer loses there. An answer that is not taught there
 * is worth what waiting is. Cost O(situations²).
 */
public final class LookAlikes {

    /** More held segments than this that differ are seen. */
    private static final int MOST_DIFFERING = 2;

    private final PracticeGraph graph;
    private final SolvedMap solved;
    private final double[] visits;

    private LookAlikes(PracticeGraph graph, double[] starts) {
        this.graph = graph;
        this.solved = graph.solved();
        this.visits = solved.chain().visits(starts);
    }

    /** All pairs of {@code graph}'s map that cost something, the dearest first. */
    public static List<LookAlike> of(PracticeGraph graph) {
        return of(graph, graph.solved().starts());
    }

    /** The same for rounds that begin elsewhere, by the share that begins in each place, index place. */
    public static List<LookAlike> of(PracticeGraph graph, double[] starts) {
        LookAlikes looking = new LookAlikes(graph, starts);
        List<LookAlike> found = looking.situations();
        found.addAll(looking.responses());
        found.removeIf(pair -> pair.price() <= 0);
        found.sort(Comparator.comparingLong(LookAlikes::steps).reversed());
        return List.copyOf(found);
    }

    /** A price to nine decimals: of two that differ by the noise of the arithmetic alone the map's order decides. */
    private static long steps(LookAlike pair) {
        return Math.round(pair.price() * 1e9);
    }

    private List<LookAlike> situations() {
        List<Situation> all = solved.map().situations();
        List<LookAlike> found = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            for (int j = 0; j < i; j++) {
                pair(Optional.empty(), all.get(i), visits[i], all.get(j), visits[j]).ifPresent(found::add);
            }
        }
        return found;
    }

    private List<LookAlike> responses() {
        List<LookAlike> found = new ArrayList<>();
        for (Situation from : solved.map().situations()) {
            int s = solved.place(from.id());
            Optional<Reaction> best = solved.best(s);
            if (best.isEmpty()) {
                continue;
            }
            List<Branch> answered = solved.branches(from.id()).stream()
                    .filter(b -> b.cause() == Branch.Cause.RESPONSE && solved.index().situation(b.landing()).isPresent()).toList();
            for (int i = 0; i < answered.size(); i++) {
                for (int j = 0; j < i; j++) {
                    Branch one = answered.get(i);
                    Branch other = answered.get(j);
                    pair(Optional.of(best.get().id()), at(one), visits[s] * one.share(), at(other), visits[s] * other.share())
                            .ifPresent(found::add);
                }
            }
        }
        return found;
    }

    private Situation at(Branch branch) {
        return solved.index().situation(branch.landing()).orElseThrow();
    }

    private Optional<LookAlike> pair(Optional<Id> after, Situation one, double oneChance, Situation other, double otherChance) {
        Optional<Reaction> oneBest = solved.best(solved.place(one.id()));
        Optional<Reaction> otherBest = solved.best(solved.place(other.id()));
        if (one.id().equals(other.id()) || oneBest.isEmpty() || otherBest.isEmpty()
                || oneBest.get().technique().equals(otherBest.get().technique()) || !areAlike(one, other)) {
            return Optional.empty();
        }
        LookAlike.Half first = half(one, oneBest.get(), oneChance, otherBest.get());
        LookAlike.Half second = half(other, otherBest.get(), otherChance, oneBest.get());
        return Optional.of(first.price() >= second.price() ? new LookAlike(after, first, second)
                : new LookAlike(after, second, first));
    }

    private LookAlike.Half half(Situation situation, Reaction best, double chance, Reaction wrong) {
        double given = graph.worthOf(situation, wrong.technique());
        return new LookAlike.Half(situation.id(), best.id(), chance, Math.max(0, solved.worth(situation.id()) - given));
    }

    /** True where nothing that can be seen or felt tells the two apart at once. */
    static boolean areAlike(Situation one, Situation other) {
        if (one.bearing().isPresent() && other.bearing().isPresent() && !one.bearing().equals(other.bearing())) {
            return false;
        }
        Set<Segment> differing = EnumSet.noneOf(Segment.class);
        for (Segment segment : Segment.values()) {
            if (one.held().containsKey(segment) != other.held().containsKey(segment)) {
                differing.add(segment);
            }
        }
        return differing.size() <= MOST_DIFFERING && !one.contradicts(other.facts());
    }
}
