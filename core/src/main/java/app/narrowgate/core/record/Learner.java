package app.narrowgate.core.record;

import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Rates;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BiFunction;

/**
 * Learns a map's figures from rounds. A round against somebody heavier or lighter is reckoned under that gap, and what the gap alone makes of
 * an answer is taken off, to first order.
 *
 * <p>Problem: the figures that are most likely after the rounds, where most of what went on in a round was not noted. Method: expectation
 * and maximisation in turns ({@link ExpectedCounts}; Dempster, Laird and Rubin 1977) from what is believed before, until no figure moves by
 * more than {@value #STILL} or after {@value #TURNS} turns. Cost: one chain for each end and one solve for each beginning a turn, however many
 * rounds there are of a kind. Not for several threads.
 */
public final class Learner {

    private static final int TURNS = 25;
    private static final double STILL = 0.001;

    private final SolvedMap written;
    private final Map<Double, SolvedMap> solved = new ConcurrentHashMap<>();

    /** @param written the map by what stands on it, under the setting in which rounds are logged, for an even pair */
    public Learner(SolvedMap written) {
        this.written = written;
    }

    /** What is believed after so many rounds of what is written on the map. */
    public Beliefs learn(Tally tally) {
        return learn(before(), tally);
    }

    /** What is believed before anything was seen. */
    public Beliefs before() {
        return Beliefs.of(written);
    }

    /** What is believed of one of a group after their own rounds: what is believed of the group is what is written for them. */
    public Beliefs learn(Beliefs group, Tally own) {
        Beliefs before = group.asWritten();
        Beliefs now = before;
        for (int turn = 0; turn < TURNS; turn++) {
            before = before.choosing(written.by(now.settled()), 1.0 / (turn + 1));
            Beliefs next = before.after(sum(now, own));
            boolean still = moved(now, next) < STILL;
            now = next;
            if (still) {
                break;
            }
        }
        return before.after(evidence(now, own), sum(now, own));
    }

    /** What is believed after one more round: one turn, from what is believed. */
    public Beliefs another(Beliefs now, Event.Round round) {
        Tally.Kind kind = Tally.Kind.of(round);
        return evidence(new ExpectedCounts(under(kind.gap()).by(now), now::chosen), kind, 1).map(now::and).orElse(now);
    }

    private Counts sum(Beliefs now, Tally tally) {
        Counts all = new Counts();
        forEachGap(now, tally, (reckoned, kinds) -> {
            Counts sum = reckoned.sum(kinds);
            return reckoned.solved().setting().equals(written.setting()) ? sum : sum.level(reckoned.solved());
        }).forEach(counts -> all.add(counts, 1));
        return all;
    }

    /** What is made of the rounds of each gap, in order; several are worked on at once. */
    private <T> List<T> forEachGap(Beliefs now, Tally tally, BiFunction<ExpectedCounts, Map<Tally.Kind, Double>, T> made) {
        Map<Double, Map<Tally.Kind, Double>> byGap = byGap(tally);
        byGap.keySet().forEach(this::under);
        Rates means = now.settled();
        return byGap.entrySet().parallelStream().map(one -> made.apply(new ExpectedCounts(under(one.getKey()).by(means), now::chosen), one.getValue())).toList();
    }

    private static Map<Double, Map<Tally.Kind, Double>> byGap(Tally tally) {
        Map<Double, Map<Tally.Kind, Double>> byGap = new TreeMap<>();
        tally.times().forEach((kind, times) -> byGap.computeIfAbsent(kind.gap(), gap -> new LinkedHashMap<>()).put(kind, times));
        return byGap;
    }

    /** How sure rounds make it: those of which little is known are taken for rounds of even pairs. */
    private Evidence evidence(Beliefs now, Tally tally) {
        Map<Tally.Kind, Double> alike = new HashMap<>();
        tally.times().forEach((kind, times) -> alike.merge(kind.isNoted() ? kind : kind.even(), times, Double::sum));
        return new Evidence(forEachGap(now, new Tally(tally.now(), alike), (reckoned, kinds) -> {
            List<Evidence.Kind> all = new ArrayList<>();
            kinds.forEach((kind, times) -> evidence(reckoned, kind, times).ifPresent(all::add));
            return all;
        }).stream().flatMap(List::stream).toList());
    }

    private static Optional<Evidence.Kind> evidence(ExpectedCounts reckoned, Tally.Kind kind, double times) {
        return reckoned.of(kind).map(counts -> new Evidence.Kind(times, kind.gap() == 0 ? counts : counts.level(reckoned.solved()), counts.isWhole(),
                kind.reaction()));
    }

    private SolvedMap under(double gap) {
        Setting even = written.setting();
        return gap == 0 ? written : solved.computeIfAbsent(gap, one -> written.under(even.withMatchup(even.matchup().withWeightGap(one))));
    }

    private double moved(Beliefs from, Beliefs to) {
        double most = 0;
        for (Reaction reaction : written.map().reactions()) {
            most = Math.max(most, Math.abs(from.works(reaction) - to.works(reaction)));
        }
        return most;
    }
}
