package app.narrowgate.core.record;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.advice.Sensitivities;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which rounds would tell most: how much narrower the odds of a place would be after {@value #ROUNDS} more rounds from one.
 *
 * <p>Method: to first order the variance of the odds is that of the figures, each weighed by how much the odds move with it (the delta
 * method). Rounds that are still to come are worth what is to be expected of them: each end as often as it is likely, logged with one tap.
 * They leave every mean where it is, and narrow what they speak of. Clocks are left out. Cost: one adjoint a place, and one inverse of the
 * figures' information for each beginning that is weighed.
 *
 * @param place whose odds
 * @param from where the rounds would begin
 * @param now how wide they are, in [0,1]
 * @param then how wide after them, in [0,{@code now}]
 */
public record ToLog(Id place, Id from, double now, double then) {

    /** Rounds that are weighed. */
    public static final int ROUNDS = 10;

    /** By how much. */
    public double narrower() {
        return now - then;
    }

    /**
     * Which rounds narrow the odds of one place most; empty where none would.
     *
     * @param odds by the beliefs, under the setting in which rounds are logged
     * @param most beginnings that are weighed: the place itself, and those that rounds from it come to most often
     */
    public static Optional<ToLog> narrowing(DoubtfulOdds odds, Beliefs beliefs, Id place, int most) {
        SolvedMap likely = odds.likely();
        double[] visits = likely.chain().visits(likely.startsAt(Optional.of(place)));
        List<Id> beginnings = likely.map().situations().stream().map(one -> one.id()).filter(one -> visits[likely.place(one)] > 0)
                .sorted(Comparator.comparing((Id one) -> !one.equals(place)).thenComparing(one -> -visits[likely.place(one)])).limit(most).toList();
        ExpectedCounts expected = new ExpectedCounts(likely, beliefs::chosen);
        return beginnings.stream().flatMap(from -> of(odds, beliefs, expected, place, from).stream()).max(Comparator.comparingDouble(ToLog::narrower));
    }

    /** By how much rounds from each of {@code places} would narrow its own odds, that which is narrowed most first. */
    public static List<ToLog> each(DoubtfulOdds odds, Beliefs beliefs, Collection<Id> places) {
        List<ToLog> all = new ArrayList<>();
        ExpectedCounts expected = new ExpectedCounts(odds.likely(), beliefs::chosen);
        places.forEach(place -> of(odds, beliefs, expected, place, place).ifPresent(all::add));
        all.sort(Comparator.comparingDouble(ToLog::narrower).reversed());
        return all;
    }

    private static Optional<ToLog> of(DoubtfulOdds odds, Beliefs beliefs, ExpectedCounts expected, Id place, Id from) {
        SolvedMap likely = odds.likely();
        Sensitivities moves = AdjointSensitivity.of(likely, likely.startsAt(Optional.of(place)));
        Beliefs then = beliefs;
        for (PlaceKind kind : PlaceKind.values()) {
            double chance = expected.chance(from, kind);
            Tally.Kind round = new Tally.Kind(0, from, Ending.in(kind), Optional.empty(), Optional.empty(), false, Optional.empty());
            Optional<Counts> counts = chance > 0 ? expected.of(round) : Optional.empty();
            if (counts.isPresent()) {
                // As reckoned, whatever it is: which of the ends will come is not known, so no mean may move.
                then = then.and(new Evidence.Kind(ROUNDS * chance, counts.get(), false, Optional.empty()));
            }
        }
        double before = variance(beliefs, moves);
        if (then == beliefs || before <= 0) {
            return Optional.empty();
        }
        double now = odds.at(place).width();
        return Optional.of(new ToLog(place, from, now, now * Math.sqrt(Math.min(1, variance(then, moves) / before))));
    }

    /** The variance of the odds, to first order. */
    static double variance(Beliefs beliefs, Sensitivities moves) {
        Together together = beliefs.together();
        double[] of = new double[together.figures().size()];
        double alone = 0;
        for (Sensitivities.OfReaction one : moves.reactions()) {
            Reaction reaction = beliefs.index().reaction(one.reaction()).orElseThrow();
            Optional<Integer> works = together.works(reaction.id());
            if (works.isPresent()) {
                of[works.get()] += one.perWorks();
            } else {
                alone += one.perWorks() * one.perWorks() * beliefs.noted(reaction).variance();
            }
            double all = reaction.responses().stream().mapToDouble(response -> beliefs.weight(reaction, response)).sum();
            for (Sensitivities.OfResponse answer : one.responses()) {
                Response response = reaction.response(answer.response()).orElseThrow();
                double share = beliefs.weight(reaction, response) / all;
                // What a weight alone moves: its own share, and the others' in proportion.
                double moved = answer.perChance() * (1 - share);
                Optional<Integer> at = together.answer(new LinkRef(reaction.id(), response.id()));
                if (at.isPresent()) {
                    of[at.get()] += moved;
                } else {
                    alone += moved * moved * share * share / beliefs.noted(reaction, response);
                }
            }
        }
        return together.joint().variance(of) + alone;
    }
}
