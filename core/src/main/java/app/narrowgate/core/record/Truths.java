package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;

/**
 * Holds a map against what was seen.
 *
 * <p>Problem: for each place the share of rounds that the map says end out, beside the exact interval of the share that was seen; and, where
 * that interval does not hold what the map says, the one learned figure that brings the map nearest to what was seen. Method: the map is
 * solved for each weight gap, and its chain says how a round ends; each answer that rounds from there come to is put in by itself, people
 * choosing as they were taught. Cost: a solve for each gap, and one for each answer that is tried out. Not for several threads.
 */
public final class Truths {

    /** Places of which the reason is looked for. */
    static final int WORST = 3;

    /** Less of the difference than this taken away explains nothing; our estimate. */
    private static final double TELLING = 0.25;

    /** So much of a place's rounds make them one-sided; our estimates. */
    private static final double MOST = 0.6;
    private static final double HALF = 0.5;

    private final SolvedMap written;
    private final Beliefs beliefs;
    private final boolean[] out;
    private final boolean[] tap;
    private final Map<Double, SolvedMap> byGap = new HashMap<>();
    /** Shares that end out with an answer's learned figure, where people go on choosing as the map teaches. */
    private final Map<Id, double[]> asTaught = new HashMap<>();

    /**
     * @param written the map by what stands on it, under the setting in which rounds are logged
     * @param beliefs what is believed of it by now
     */
    public Truths(SolvedMap written, Beliefs beliefs) {
        this.written = written;
        this.beliefs = beliefs;
        PlaceKind[] kinds = written.kinds();
        this.out = new boolean[kinds.length];
        this.tap = new boolean[kinds.length];
        for (int place = 0; place < kinds.length; place++) {
            out[place] = kinds[place] != null && Ending.isOut(kinds[place]);
            tap[place] = kinds[place] == PlaceKind.TAP;
        }
    }

    /** Of all rounds that had an end; those that begin where the map has no place are left out. */
    public Truth of(Collection<Truth.Seen> rounds) {
        Map<Id, List<Truth.Seen>> begun = new LinkedHashMap<>();
        for (Situation situation : written.map().situations()) {
            List<Truth.Seen> here = rounds.stream().filter(one -> one.start().equals(situation.id())).toList();
            if (!here.isEmpty()) {
                begun.put(situation.id(), here);
            }
        }
        int all = begun.size();
        begun.values().removeIf(here -> times(here) < Truth.ENOUGH);
        Map<Id, Double> said = said(begun, this::under);
        List<Truth.AtPlace> places = new ArrayList<>();
        begun.forEach((place, here) -> places.add(atPlace(place, said.get(place), here)));
        places.sort(Comparator.comparing(Truth.AtPlace::agrees).thenComparing(Comparator.comparingDouble(Truths::off).reversed()));
        for (int i = 0; i < Math.min(WORST, places.size()) && !places.get(i).agrees(); i++) {
            Truth.AtPlace one = places.get(i);
            places.set(i, new Truth.AtPlace(one.place(), one.said(), one.rounds(), one.out(), one.seen(), one.onesided(), explains(one, begun)));
        }
        return new Truth(places, all - places.size(), places.isEmpty() ? Optional.empty() : Optional.of(brier(begun, said)));
    }

    private static int times(List<Truth.Seen> seen) {
        return seen.stream().mapToInt(Truth.Seen::times).sum();
    }

    private static int out(List<Truth.Seen> seen) {
        return seen.stream().filter(Truth.Seen::out).mapToInt(Truth.Seen::times).sum();
    }

    /** How far off, in what chance alone would make of it. */
    private static double off(Truth.AtPlace one) {
        return Math.abs(one.said() - one.share()) * Math.sqrt(one.rounds());
    }

    private static Truth.AtPlace atPlace(Id place, double said, List<Truth.Seen> here) {
        int rounds = times(here);
        int out = out(here);
        return new Truth.AtPlace(place, said, rounds, out, Interval.exact(out, rounds, Truth.LEVEL), onesided(here, rounds), Optional.empty());
    }

    private static Brier brier(Map<Id, List<Truth.Seen>> begun, Map<Id, Double> said) {
        return Brier.of(begun.entrySet().stream().map(one -> new Brier.Forecast(said.get(one.getKey()), times(one.getValue()), out(one.getValue()))).toList());
    }

    private SolvedMap under(double gap) {
        return byGap.computeIfAbsent(gap, one -> one == 0 ? written
                : written.under(written.setting().withMatchup(written.setting().matchup().withWeightGap(one))));
    }

    /** What a map says of the rounds of each place, pair by pair. */
    private Map<Id, Double> said(Map<Id, List<Truth.Seen>> begun, Function<Double, SolvedMap> maps) {
        Map<Double, double[]> shares = new TreeMap<>();
        Map<Id, Double> said = new LinkedHashMap<>();
        begun.forEach((place, here) -> {
            double sum = 0;
            for (Truth.Seen one : here) {
                sum += one.times() * shares.computeIfAbsent(one.gap(), gap -> shares(maps.apply(gap)))[written.place(place)];
            }
            said.put(place, sum / times(here));
        });
        return said;
    }

    /** Index place: the share of rounds that end out, of those that end out or with a tap. */
    private double[] shares(SolvedMap map) {
        return shares(map.chain());
    }

    private double[] shares(RoundChain chain) {
        double[] outs = chain.endingAt(out);
        double[] taps = chain.endingAt(tap);
        double[] shares = new double[outs.length];
        for (int place = 0; place < shares.length; place++) {
            shares[place] = outs[place] + taps[place] > 0 ? outs[place] / (outs[place] + taps[place]) : 0;
        }
        return shares;
    }

    private SolvedMap with(SolvedMap map, Reaction reaction) {
        return map.by(map.rates().working(Map.of(reaction.id(), beliefs.works(reaction))));
    }

    private Optional<Truth.Explanation> explains(Truth.AtPlace place, Map<Id, List<Truth.Seen>> begun) {
        int at = written.place(place.place());
        double even = shares(written)[at];
        // What the pairs' weight makes of it is the same before and after, to first order.
        double wanted = even + place.share() - place.said();
        double[] visits = written.chain().visits(written.startsAt(Optional.of(place.place())));
        Optional<Reaction> best = Optional.empty();
        double off = (1 - TELLING) * Math.abs(even - wanted);
        for (int s = 0; s < written.game().situations; s++) {
            Optional<Reaction> reaction = visits[s] > 0 ? written.best(s) : Optional.empty();
            if (reaction.isPresent() && tries(reaction.get()) > 0) {
                double then = asTaught.computeIfAbsent(reaction.get().id(), id -> shares(RoundChain.of(with(written, reaction.get()).game(), written.solution())))[at];
                if (Math.abs(then - wanted) < off) {
                    off = Math.abs(then - wanted);
                    best = reaction;
                }
            }
        }
        return best.map(reaction -> explanation(place.place(), reaction, begun));
    }

    private double tries(Reaction reaction) {
        return beliefs.evidence().tries(reaction.id());
    }

    private Truth.Explanation explanation(Id place, Reaction reaction, Map<Id, List<Truth.Seen>> begun) {
        Map<Id, Double> then = said(begun, gap -> with(under(gap), reaction));
        SolvedMap even = with(written, reaction);
        List<Truth.Move> moves = new ArrayList<>();
        for (Situation situation : written.map().situations()) {
            Truth.Move move = new Truth.Move(situation.id(), written.worth(situation.id()), even.worth(situation.id()));
            if (Math.round(100 * move.before()) != Math.round(100 * move.then())) {
                moves.add(move);
            }
        }
        moves.sort(Comparator.comparingDouble((Truth.Move move) -> Math.abs(move.then() - move.before())).reversed());
        Optional<Id> instead = even.best(even.place(reaction.from())).map(Reaction::id).filter(best -> !best.equals(reaction.id()));
        return new Truth.Explanation(reaction.id(), written.rates().works(reaction), beliefs.going(reaction).doubt(), tries(reaction),
                beliefs.evidence().noted(reaction.id()), then.get(place), brier(begun, then).score(), instead, moves);
    }

    private static List<Truth.Onesided> onesided(List<Truth.Seen> here, int rounds) {
        Map<Truth.Onesided.Sort, Integer> alike = new EnumMap<>(Truth.Onesided.Sort.class);
        Map<UUID, Integer> byPerson = new HashMap<>();
        for (Truth.Seen one : here) {
            one.person().ifPresent(person -> byPerson.merge(person, one.times(), Integer::sum));
            if (one.level().equals(Optional.of(Level.NOVICE))) {
                alike.merge(Truth.Onesided.Sort.BEGINNERS, one.times(), Integer::sum);
            }
            if (Math.abs(one.gap()) >= Tally.STEP) {
                alike.merge(one.gap() < 0 ? Truth.Onesided.Sort.LIGHTER : Truth.Onesided.Sort.HEAVIER, one.times(), Integer::sum);
            }
        }
        List<Truth.Onesided> all = new ArrayList<>();
        alike.forEach((sort, many) -> {
            if (many >= MOST * rounds) {
                all.add(new Truth.Onesided(sort, many));
            }
        });
        byPerson.values().stream().max(Comparator.naturalOrder()).filter(many -> many > HALF * rounds)
                .ifPresent(many -> all.add(new Truth.Onesided(Truth.Onesided.Sort.ONE_PERSON, many)));
        return all;
    }
}
