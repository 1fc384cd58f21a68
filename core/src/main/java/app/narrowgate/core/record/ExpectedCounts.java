package app.narrowgate.core.record;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.RoundChain;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;

/**
 * What probably went on in a round of which only the beginning and the end were noted. Not for several threads.
 *
 * <p>Problem: the expected number of times that each answer was tried, got going and was answered, given where the round began and that it
 * ended in a certain kind of place. A chain that is conditioned on its end is a chain again, its shares weighed by the chance of that end
 * from where they land (Doob's h-transform; Kemeny and Snell, "Finite Markov Chains", on absorbing chains conditioned on where they are
 * absorbed): the expected count of a branch is visits × share × chance of the end from its landing / chance of the end from the beginning.
 * This is one step of expectation of the EM algorithm from the map's present figures (Dempster, Laird and Rubin 1977). Precondition: the
 * bottom player chooses what the map finds best, unless another answer was noted. Cost: one chain an end and one solve a beginning, kept.
 */
final class ExpectedCounts {

    private final SolvedMap solved;
    private final Map<List<?>, Conditioned> chains = new HashMap<>();
    private final Map<List<?>, Optional<Counts>> found = new HashMap<>();

    /** A chain that is over in certain places, and the chance of ending in one that is wanted, index place. */
    private record Conditioned(RoundChain chain, double[] chance) {
    }

    ExpectedCounts(SolvedMap solved) {
        this.solved = solved.converged();
    }

    /** What it was made for. */
    SolvedMap solved() {
        return solved;
    }

    /**
     * What a round counts; empty where it had no end, or the map knows no such beginning or no way from there to the end. What was noted
     * counts whole.
     */
    Optional<Counts> of(Event.Round round) {
        Optional<Clock> clock = solved.index().situation(round.start()).flatMap(situation -> situation.clock());
        if (round.seconds().isPresent() && round.reaction().isEmpty()
                && clock.filter(one -> round.ending().place().equals(Optional.of(one.becomes()))).isPresent()) {
            Counts counts = new Counts();
            counts.ran(round.start(), 1, round.seconds().get());
            return Optional.of(counts);
        }
        return of(round.start(), round.ending(), round.reaction(), round.response());
    }

    private Optional<Counts> of(Id start, Ending ending, Optional<Id> reaction, Optional<Id> response) {
        if (solved.index().situation(start).isEmpty() || ending.kind().isEmpty()) {
            return Optional.empty();
        }
        List<?> key = List.of(start, ending, reaction, response);
        Optional<Counts> known = found.get(key);
        if (known == null) {
            Optional<Reaction> noted = reaction.flatMap(solved.index()::reaction);
            known = noted.isPresent() ? Optional.of(through(start, noted.get(), response, ending)) : between(start, end(ending));
            found.put(key, known);
        }
        return known;
    }

    /** From the beginning to the end, nothing else being known; empty where there is no way. */
    private Optional<Counts> between(Id start, Conditioned end) {
        double reached = end.chance()[solved.place(start)];
        if (reached <= 0) {
            return Optional.empty();
        }
        Counts counts = new Counts();
        double[] visits = end.chain().visits(solved.startsAt(Optional.of(start)));
        for (int s = 0; s < solved.game().situations; s++) {
            if (visits[s] > 0) {
                Optional<Reaction> best = solved.best(s);
                for (Branch branch : solved.branches(solved.placeId(s))) {
                    count(counts, branch, best, visits[s] / reached * branch.share() * end.chance()[solved.place(branch.landing())]);
                }
            }
        }
        return Optional.of(counts);
    }

    /** To where the noted answer is given, the answer itself as it was seen, and on to the end. */
    private Counts through(Id start, Reaction reaction, Optional<Id> response, Ending ending) {
        Conditioned end = end(ending);
        Counts counts = new Counts();
        if (!start.equals(reaction.from())) {
            between(start, chain(List.of(ending, reaction.from()), place -> solved.placeId(place).equals(reaction.from()), end))
                    .ifPresent(before -> counts.add(before, 1));
        }
        List<Branch> branches = solved.branches(reaction).stream()
                .filter(branch -> response.isEmpty() || branch.response().filter(link -> link.response().equals(response.get())).isPresent()).toList();
        double all = branches.stream().mapToDouble(branch -> weight(branch, end)).sum();
        if (all <= 0) {
            response.ifPresent(seen -> went(counts, new LinkRef(reaction.id(), seen), 1));
            return counts;
        }
        for (Branch branch : branches) {
            double share = weight(branch, end) / all;
            if (share > 0) {
                count(counts, branch, Optional.of(reaction), share);
                if (branch.landing() != null && solved.place(branch.landing()) < solved.game().situations) {
                    between(branch.landing(), end).ifPresent(after -> counts.add(after, share));
                }
            }
        }
        return counts;
    }

    private double weight(Branch branch, Conditioned end) {
        return branch.share() * end.chance()[solved.place(branch.landing())];
    }

    /** Over in every place of the end's kind, or in the one that was noted. */
    private Conditioned end(Ending ending) {
        Optional<Id> noted = ending.place().filter(place -> solved.index().isPlace(place));
        PlaceKind[] kinds = solved.kinds();
        return chain(List.of(ending), noted.isPresent() ? place -> solved.placeId(place).equals(noted.get()) : place -> kinds[place] == ending.kind().get(),
                null);
    }

    /** @param also where it is over besides, without being wanted */
    private Conditioned chain(List<?> key, IntPredicate wanted, Conditioned also) {
        return chains.computeIfAbsent(key, k -> {
            boolean[] ends = new boolean[solved.game().places];
            boolean[] over = new boolean[ends.length];
            for (int place = 0; place < ends.length; place++) {
                ends[place] = wanted.test(place);
                over[place] = ends[place] || also != null && also.chain().ends(place);
            }
            RoundChain chain = RoundChain.until(solved.game(), solved.solution(), over);
            return new Conditioned(chain, chain.endingAt(ends));
        });
    }

    private static void count(Counts counts, Branch branch, Optional<Reaction> reaction, double times) {
        if (times <= 0) {
            return;
        }
        switch (branch.cause()) {
            case RESPONSE -> went(counts, branch.response().orElseThrow(), times);
            case STUFFED -> counts.tried(reaction.orElseThrow().id(), times, 0);
            case WAITED, TOO_SLOW -> {
                // Nothing was tried in time.
            }
        }
    }

    private static void went(Counts counts, LinkRef link, double times) {
        counts.tried(link.reaction(), times, times);
        counts.answered(link, times);
    }
}
