package app.narrowgate.core.record;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.RoundChain;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntPredicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * What probably went on in a round of which little was noted. Not for several threads.
 *
 * <p>Problem: the expected number of times that each answer was chosen, tried, got going and was answered, given where the round began and
 * that it ended in a certain kind of place. A chain that is conditioned on its end is a chain again, its shares weighed by the chance of that
 * end from where they land (Doob's h-transform; Kemeny and Snell, "Finite Markov Chains", on absorbing chains conditioned on where they are
 * absorbed): the expected count of a branch is visits × share × chance of the end from its landing / chance of the end from the beginning.
 * This is one step of expectation of the EM algorithm (Dempster, Laird and Rubin 1977). Where the last answer that got going was noted too, the
 * chain is conditioned on coming to it, and on nothing else getting going from there. Precondition: whoever is at the bottom chooses among the
 * answers that are taught in a place as often as is believed, whatever went before, and the round is over where they rest. Cost: one
 * chain an end and one solve a beginning, kept.
 */
final class ExpectedCounts {

    /** What is left of a chance where its iteration is stopped. */
    private static final double SETTLED = 1e-9;

    private final SolvedMap solved;
    private final PlaceKind[] kinds;
    /** Index option: how often it is chosen. */
    private final double[] chosen;
    /** Index situation. */
    private final List<List<Move>> moves = new ArrayList<>();
    /** All of them, by their number. */
    private final List<Move> everyMove = new ArrayList<>();
    /** By where they are over: most ends have the same chain. */
    private final Map<BitSet, RoundChain> chains = new HashMap<>();
    private final Map<List<?>, Conditioned> conditioned = new HashMap<>();
    /** By chain, and by the place that is come to. */
    private final Map<RoundChain, Map<Integer, double[]>> coming = new IdentityHashMap<>();
    private final Map<Conditioned, Map<Integer, double[]>> quietTimes = new IdentityHashMap<>();
    private final Map<Conditioned, double[]> quiet = new IdentityHashMap<>();
    private final Map<List<?>, Optional<Counts>> found = new HashMap<>();

    /**
     * One way it can go on.
     *
     * @param number by which it is counted: that is done very often, and names are slow
     * @param tried what was chosen; empty where there is nothing to choose
     * @param share how often, what is chosen included
     */
    private record Move(int number, Optional<Reaction> tried, Branch branch, double share, int landing) {

        boolean gotGoing() {
            return branch.cause() == Branch.Cause.RESPONSE;
        }
    }

    /** A chain that is over in certain places, and the chance of ending in one of them, index place. */
    private record Conditioned(RoundChain chain, double[] chance) {
    }

    /** @param chosen how often each answer is chosen where it is taught */
    ExpectedCounts(SolvedMap solved, ToDoubleFunction<Reaction> chosen) {
        this.solved = solved.converged();
        this.kinds = this.solved.kinds();
        this.chosen = new double[solved.game().optionStart[solved.game().situations]];
        for (int s = 0; s < solved.game().situations; s++) {
            moves.add(moves(s, chosen));
        }
    }

    private List<Move> moves(int s, ToDoubleFunction<Reaction> share) {
        int[] options = IntStream.range(solved.game().optionStart[s], solved.game().optionStart[s + 1]).filter(o -> !solved.game().waits(o)).toArray();
        double all = IntStream.of(options).mapToDouble(o -> share.applyAsDouble(solved.reaction(o))).sum();
        List<Move> from = new ArrayList<>();
        if (all <= 0) {
            solved.branches(solved.placeId(s)).forEach(branch -> from.add(move(solved.best(s), branch, 1)));
            return from;
        }
        for (int o : options) {
            Reaction reaction = solved.reaction(o);
            chosen[o] = share.applyAsDouble(reaction) / all;
            if (chosen[o] > 0) {
                solved.branches(reaction).forEach(branch -> from.add(move(Optional.of(reaction), branch, chosen[o])));
            }
        }
        return from;
    }

    private Move move(Optional<Reaction> tried, Branch branch, double times) {
        Move move = new Move(everyMove.size(), tried, branch, times * branch.share(), solved.place(branch.landing()));
        everyMove.add(move);
        return move;
    }

    /** What it was made for. */
    SolvedMap solved() {
        return solved;
    }

    /** The chance that a round that begins in {@code start} ends in that kind of place. */
    double chance(Id start, PlaceKind kind) {
        return end(solved.place(start), Ending.in(kind)).chance()[solved.place(start)];
    }

    /**
     * What a round counts; empty where it had no end, or the map knows no such beginning or no way from there to the end. What was noted
     * counts whole.
     */
    Optional<Counts> of(Tally.Kind kind) {
        return found.computeIfAbsent(List.of(kind), key -> solved.index().situation(kind.start()).filter(start -> kind.ending().kind().isPresent())
                .flatMap(start -> counted(start, kind)).filter(counts -> !counts.isEmpty()));
    }

    /**
     * What rounds count in all, so many of each kind. What goes before the end, or before the answer that was noted, is reckoned at once for
     * all beginnings, as what is expected is linear in where rounds begin.
     */
    Counts sum(Map<Tally.Kind, Double> times) {
        Counts other = new Counts();
        double[] gone = none();
        Map<Conditioned, double[]> toTheEnd = new LinkedHashMap<>();
        Map<Conditioned, Map<Integer, double[]>> toTheNoted = new LinkedHashMap<>();
        times.forEach((kind, many) -> {
            if (solved.index().situation(kind.start()).isEmpty() || kind.ending().kind().isEmpty()) {
                return;
            }
            int start = solved.place(kind.start());
            Optional<Reaction> noted = kind.reaction().flatMap(solved.index()::reaction);
            if (kind.nothing()) {
                of(kind).ifPresent(counts -> other.add(counts, many));
            } else if (noted.isPresent()) {
                Conditioned end = end(start, kind.ending());
                int from = solved.place(noted.get().from());
                double coming = coming(end, from)[start];
                if (on(gone, noted.get(), kind.response(), end, many) && coming > 0) {
                    toTheNoted.computeIfAbsent(end, one -> new LinkedHashMap<>()).computeIfAbsent(from, one -> new double[solved.game().places])[start] += many / coming;
                }
            } else {
                Conditioned end = reachable(start, kind.ending());
                if (end.chance()[start] > 0) {
                    toTheEnd.computeIfAbsent(end, one -> new double[solved.game().places])[start] += many / end.chance()[start];
                }
            }
        });
        toTheEnd.forEach((end, starts) -> count(gone, starts, end, end.chance()));
        toTheNoted.forEach((end, byPlace) -> byPlace.forEach((from, starts) -> count(gone, starts, end, coming(end, from))));
        return counted(gone, other);
    }

    private Optional<Counts> counted(Situation start, Tally.Kind kind) {
        int place = solved.place(start.id());
        if (!kind.nothing()) {
            Optional<Reaction> noted = kind.reaction().flatMap(solved.index()::reaction);
            return noted.isPresent() ? through(place, noted.get(), kind.response(), end(place, kind.ending())) : between(place, reachable(place, kind.ending()));
        }
        Optional<Clock> ran = start.clock().filter(clock -> kind.seconds().isPresent() && kind.ending().place().equals(Optional.of(clock.becomes())));
        Counts counts = new Counts();
        ran.ifPresent(clock -> counts.ran(start.id(), 1, kind.seconds().orElseThrow()));
        Conditioned end = end(place, kind.ending());
        double[] quietly = quietly(end);
        if (quietly[place] > 0) {
            counted(quietly(place, end, quietly), counts);
        }
        return Optional.of(counts);
    }

    /** What was noted; or, where the map knows no way from there to it, any end that is out as well. */
    private Conditioned reachable(int start, Ending ending) {
        Conditioned exact = end(start, ending);
        return exact.chance()[start] > 0 || !ending.isOut() ? exact
                : chain(start, List.of(Ending.class), place -> kinds[place] != null && Ending.isOut(kinds[place]));
    }

    /** From the beginning to the end, nothing else being known; empty where there is no way. */
    private Optional<Counts> between(int start, Conditioned end) {
        if (end.chance()[start] <= 0) {
            return Optional.empty();
        }
        double[] times = none();
        count(times, begun(start, 1 / end.chance()[start]), end, end.chance());
        return Optional.of(counted(times, new Counts()));
    }

    private double[] begun(int start, double times) {
        double[] starts = new double[solved.game().places];
        starts[start] = times;
        return starts;
    }

    /** Counts all that can happen from the beginnings on, each as often as it is come to, by what its landing weighs. */
    private void count(double[] times, double[] starts, Conditioned end, double[] weight) {
        double[] visits = end.chain().visits(starts);
        for (int s = 0; s < solved.game().situations; s++) {
            if (visits[s] > 0) {
                for (Move move : moves.get(s)) {
                    times[move.number()] += visits[s] * move.share() * weight[move.landing()];
                }
            }
        }
    }

    /** For every place the expected number of times that {@code from} is gone on from. */
    private double[] coming(Conditioned end, int from) {
        return coming.computeIfAbsent(end.chain(), chain -> new HashMap<>()).computeIfAbsent(from, end.chain()::visitsTo);
    }

    /** Up to the noted answer, that answer as it was seen, and on to the end without another that got going; empty where it is not known there. */
    private Optional<Counts> through(int start, Reaction reaction, Optional<Id> response, Conditioned end) {
        double[] times = none();
        if (!on(times, reaction, response, end, 1)) {
            return Optional.empty();
        }
        double[] before = coming(end, solved.place(reaction.from()));
        if (before[start] > 0) {
            count(times, begun(start, 1 / before[start]), end, before);
        }
        return Optional.of(counted(times, new Counts()));
    }

    /** Counts an answer as it was seen, and on to the end without another that got going, so many times; false where it is not known there. */
    private boolean on(double[] counted, Reaction reaction, Optional<Id> response, Conditioned end, double times) {
        List<Move> ways = moves.get(solved.place(reaction.from())).stream().filter(Move::gotGoing)
                .filter(move -> move.branch().response().orElseThrow().reaction().equals(reaction.id()))
                .filter(move -> response.isEmpty() || move.branch().response().orElseThrow().response().equals(response.get())).toList();
        double[] quietly = quietly(end);
        double all = ways.stream().mapToDouble(move -> move.share() * quietly[move.landing()]).sum();
        double even = ways.stream().mapToDouble(Move::share).sum();
        for (Move move : ways) {
            counted[move.number()] += times * (all > 0 ? move.share() * quietly[move.landing()] / all : move.share() / even);
            if (all > 0 && quietly[move.landing()] > 0) {
                double often = times * move.share() * quietly[move.landing()] / all;
                double[] after = quietly(move.landing(), end, quietly);
                for (int i = 0; i < after.length; i++) {
                    counted[i] += often * after[i];
                }
            }
        }
        return !ways.isEmpty();
    }

    /** For every place the chance of coming to the end without anything that gets going. */
    private double[] quietly(Conditioned end) {
        return quiet.computeIfAbsent(end, one -> {
            double[] chance = one.chance().clone();
            for (int s = 0; s < solved.game().situations; s++) {
                chance[s] = one.chain().ends(s) ? chance[s] : 0;
            }
            for (double moved = 1; moved > SETTLED;) {
                moved = 0;
                for (int s = 0; s < solved.game().situations; s++) {
                    if (!one.chain().ends(s)) {
                        double sum = 0;
                        for (Move move : moves.get(s)) {
                            sum += move.gotGoing() ? 0 : move.share() * chance[move.landing()];
                        }
                        moved = Math.max(moved, sum - chance[s]);
                        chance[s] = sum;
                    }
                }
            }
            return chance;
        });
    }

    /** From a place on to the end without anything that gets going. */
    private double[] quietly(int from, Conditioned end, double[] quietly) {
        return quietTimes.computeIfAbsent(end, one -> new HashMap<>()).computeIfAbsent(from, place -> {
            double[] times = none();
            double[] here = new double[solved.game().places];
            here[from] = 1;
            for (double left = 1; left > SETTLED;) {
                double[] next = new double[here.length];
                left = 0;
                for (int s = 0; s < solved.game().situations; s++) {
                    if (here[s] > 0 && !end.chain().ends(s)) {
                        for (Move move : moves.get(s)) {
                            double come = move.gotGoing() ? 0 : here[s] * move.share() * quietly[move.landing()] / quietly[s];
                            times[move.number()] += come;
                            next[move.landing()] += come;
                            left += end.chain().ends(move.landing()) ? 0 : come;
                        }
                    }
                }
                here = next;
            }
            return times;
        });
    }

    /** Over in every place of the end's kind, or in the one that was noted. */
    private Conditioned end(int start, Ending ending) {
        Optional<Id> noted = ending.place().filter(place -> solved.index().isPlace(place));
        return chain(start, List.of(ending), noted.isPresent() ? place -> solved.placeId(place).equals(noted.get()) : place -> kinds[place] == ending.kind().get());
    }

    /** Over where it is wanted, and where people rest by the map; but where a round begins they go on. */
    private Conditioned chain(int start, List<?> key, IntPredicate wanted) {
        int goesOn = start < solved.game().situations && rests(start) ? start : -1;
        return conditioned.computeIfAbsent(List.of(key, goesOn), k -> {
            boolean[] at = new boolean[solved.game().places];
            BitSet over = new BitSet();
            for (int place = 0; place < at.length; place++) {
                at[place] = wanted.test(place);
                over.set(place, at[place] || place != goesOn && rests(place));
            }
            RoundChain chain = chains.computeIfAbsent(over, one -> {
                boolean[] ends = new boolean[at.length];
                one.stream().forEach(place -> ends[place] = true);
                return RoundChain.mixed(solved.game(), solved.solution(), chosen, ends);
            });
            return new Conditioned(chain, chain.endingAt(at));
        });
    }

    /** A round is over there, whatever it began as: outcomes, and where people rest by the map. */
    private boolean rests(int place) {
        return place >= solved.game().situations || solved.solution().choice(place).rests();
    }

    /** How often each way was gone, by number: never yet. */
    private double[] none() {
        return new double[everyMove.size()];
    }

    /** Adds to {@code counts} what ways that were gone so often count. */
    private Counts counted(double[] times, Counts counts) {
        for (Move move : everyMove) {
            double often = times[move.number()];
            if (often > 0 && move.tried().isPresent()) {
                Id reaction = move.tried().get().id();
                counts.chosen(reaction, often);
                switch (move.branch().cause()) {
                    case RESPONSE -> {
                        counts.tried(reaction, often, often);
                        counts.answered(move.branch().response().orElseThrow(), often);
                    }
                    case STUFFED -> counts.tried(reaction, often, 0);
                    case WAITED, TOO_SLOW -> {
                        // It was not tried in time.
                    }
                }
            }
        }
        return counts;
    }
}
