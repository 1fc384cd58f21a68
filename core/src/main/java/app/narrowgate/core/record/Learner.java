package app.narrowgate.core.record;

import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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

    private static final int TURNS = 40;
    private static final double STILL = 0.0005;

    private final SolvedMap written;
    private final Map<Double, SolvedMap> byGap = new HashMap<>();

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
            Beliefs next = before.after(evidence(now, own));
            boolean still = moved(now, next) < STILL;
            now = next;
            if (still) {
                break;
            }
        }
        return now;
    }

    /** What is believed after one more round: one turn, from what is believed. */
    public Beliefs another(Beliefs now, Event.Round round) {
        return now.after(now.evidence().and(evidence(now, new Tally(round.at(), Map.of(Tally.Kind.of(round), 1.0)))));
    }

    private Evidence evidence(Beliefs now, Tally tally) {
        Map<Double, ExpectedCounts> expected = new HashMap<>();
        List<Evidence.Kind> kinds = new ArrayList<>();
        tally.times().forEach((kind, times) -> {
            ExpectedCounts reckoned = expected.computeIfAbsent(kind.gap(), gap -> new ExpectedCounts(under(gap).by(now), now::chosen));
            reckoned.of(kind).ifPresent(counts ->
                    kinds.add(new Evidence.Kind(times, kind.gap() == 0 ? counts : counts.level(reckoned.solved()), counts.isWhole())));
        });
        return new Evidence(kinds);
    }

    private SolvedMap under(double gap) {
        Setting even = written.setting();
        return gap == 0 ? written : byGap.computeIfAbsent(gap, one -> written.under(even.withMatchup(even.matchup().withWeightGap(one))));
    }

    private double moved(Beliefs from, Beliefs to) {
        double most = 0;
        for (Reaction reaction : written.map().reactions()) {
            most = Math.max(most, Math.abs(from.works(reaction) - to.works(reaction)));
        }
        return most;
    }
}
