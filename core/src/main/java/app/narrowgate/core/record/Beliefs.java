package app.narrowgate.core.record;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.odds.InTime;
import app.narrowgate.core.odds.Rates;
import app.narrowgate.core.odds.SolvedMap;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Supplier;

/**
 * What is believed of a map's figures: what is written on it, and what was seen since, by Bayes' rule with conjugate priors. How often an
 * answer gets going is a beta, how it is answered a Dirichlet distribution, and so is which answer is chosen where several are taught; a
 * clock's rate is a gamma distribution, as its time is Erlang distributed ({@link InTime}). Their means are figures like any others. What was
 * not seen but reckoned moves the means as if it had been seen, but makes them only as sure as it may ({@link Joint}).
 *
 * <p>The strengths of what is written are our estimates: eight trials for an answer, twelve for what it is answered with, eight runs of a clock,
 * four choices. What is believed to be best is taken to be chosen nine times in ten, and the others alike, until something else is seen.
 */
public final class Beliefs implements Rates {

    static final double WORKS = 8;
    static final double ANSWERS = 12;
    static final double CLOCK = 8;
    static final double CHOICES = 4;
    private static final double BEST = 0.9;

    private final MapIndex index;
    private final Rates before;
    /** How often each answer is chosen, before anything is seen. */
    private final Map<Id, Double> usual;
    private final Evidence evidence;
    private final Counts sure;
    private final Counts seen;
    /** Worked out when it is first asked for: learning asks only for means. */
    private volatile Together together;
    /** By the clock itself: two places may have the same one. */
    private final Map<Clock, Id> clocks = new IdentityHashMap<>();

    private Beliefs(MapIndex index, Rates before, Map<Id, Double> usual, Evidence evidence, Counts sure, Counts seen) {
        this.index = index;
        this.before = before;
        this.usual = usual;
        this.evidence = evidence;
        this.sure = sure;
        this.seen = seen;
        index.map().situations().forEach(situation -> situation.clock().ifPresent(clock -> clocks.put(clock, situation.id())));
    }

    /**
     * What is written on a map under a setting, and nothing seen yet. Where a figure was learned before and written on the map since, what
     * was thought before that counts: the rounds behind it are counted anew.
     */
    public static Beliefs of(SolvedMap written) {
        Map<Id, Double> before = new HashMap<>();
        written.map().reactions().stream().filter(one -> one.source().isPresent()).forEach(one -> before.put(one.id(), one.before().chance()));
        return new Beliefs(written.index(), before.isEmpty() ? written.rates() : written.rates().working(before), usual(written), Evidence.none(), new Counts(), new Counts());
    }

    private static Map<Id, Double> usual(SolvedMap solved) {
        Map<Id, Double> usual = new HashMap<>();
        for (int s = 0; s < solved.game().situations; s++) {
            List<Reaction> taught = solved.conditions().usable(solved.map().situations().get(s));
            Optional<Reaction> best = solved.best(s);
            for (Reaction reaction : taught) {
                double share = taught.size() == 1 ? 1 : (best.isPresent() ? 1 - BEST : 1) / (taught.size() - (best.isPresent() ? 1 : 0));
                usual.put(reaction.id(), taught.size() > 1 && best.equals(Optional.of(reaction)) ? BEST : share);
            }
        }
        return usual;
    }

    /**
     * The same before anything was seen, but that people are taken to choose what is best in {@code present}, to a share of {@code weight} in
     * [0,1]: what fails is laid to what is believed to be best, or else an answer that nobody was seen to give would stay as good as it was
     * written.
     */
    Beliefs choosing(SolvedMap present, double weight) {
        Map<Id, Double> best = usual(present);
        Map<Id, Double> mixed = new HashMap<>();
        usual.forEach((id, share) -> mixed.put(id, (1 - weight) * share + weight * best.getOrDefault(id, share)));
        return new Beliefs(index, before, mixed, Evidence.none(), new Counts(), new Counts());
    }

    /** What is believed, taken as if it were written. */
    Beliefs asWritten() {
        Map<Id, Double> chosen = new HashMap<>();
        usual.keySet().forEach(id -> chosen.put(id, chosen(index.reaction(id).orElseThrow())));
        return new Beliefs(index, this, chosen, Evidence.none(), new Counts(), new Counts());
    }

    /**
     * What is believed after other evidence than this.
     *
     * @param seen all that it counts
     */
    Beliefs after(Evidence other, Counts seen) {
        return new Beliefs(index, before, usual, other, other.sure(), seen);
    }

    /** The same for what alone was counted; how sure it is must not be asked. */
    Beliefs after(Counts counts) {
        return new Beliefs(index, before, usual, Evidence.none(), new Counts(), counts);
    }

    /** What is believed after one more kind of round. */
    Beliefs and(Evidence.Kind kind) {
        return new Beliefs(index, before, usual, evidence.and(kind), kind.whole() ? sure.and(kind) : sure, seen.and(kind));
    }

    /** What was seen, and what was reckoned from it. */
    public Evidence evidence() {
        return evidence;
    }

    /** Figures that rounds speak for together. */
    Together together() {
        Together made = together;
        if (made == null) {
            made = new Together(this);
            together = made;
        }
        return made;
    }

    /** How often {@code reaction} is chosen where it is taught, in [0,1]; 0 where the setting closes it. */
    public double chosen(Reaction reaction) {
        double all = CHOICES + index.reactionsFrom(reaction.from()).stream().mapToDouble(one -> seen.choices(one.id())).sum();
        return (CHOICES * usual.getOrDefault(reaction.id(), 0.0) + seen.choices(reaction.id())) / all;
    }

    /** What is believed of how often {@code reaction} gets going, but for what was reckoned. */
    Beta noted(Reaction reaction) {
        double tries = sure.tries(reaction.id());
        double went = Math.min(tries, sure.going(reaction.id()));
        return Beta.of(before.works(reaction), WORKS).after(went, tries - went);
    }

    /** How often {@code reaction} gets going: as likely, and as sure, as all that was seen and reckoned makes it. */
    public Beta going(Reaction reaction) {
        double tries = seen.tries(reaction.id());
        double went = Math.min(tries, seen.going(reaction.id()));
        Beta whole = Beta.of(before.works(reaction), WORKS).after(went, tries - went);
        double mean = whole.mean();
        if (mean <= 0 || mean >= 1) {
            return whole;
        }
        double noted = noted(reaction).yes() + noted(reaction).no();
        double strength = together().variance(reaction.id()).map(variance -> mean * (1 - mean) / variance - 1).orElse(noted);
        return Beta.of(mean, Math.min(whole.yes() + whole.no(), Math.max(noted, strength)));
    }

    @Override
    public double works(Reaction reaction) {
        double tries = seen.tries(reaction.id());
        return (WORKS * before.works(reaction) + Math.min(tries, seen.going(reaction.id()))) / (WORKS + tries);
    }

    /** As if the response had been given so often. */
    @Override
    public double weight(Reaction reaction, Response response) {
        return written(reaction, response) + seen.answers(new LinkRef(reaction.id(), response.id()));
    }

    private double written(Reaction reaction, Response response) {
        double all = reaction.responses().stream().mapToDouble(one -> before.weight(reaction, one)).sum();
        return ANSWERS * before.weight(reaction, response) / all;
    }

    /** As if the response had been given so often, but for what was reckoned. */
    double noted(Reaction reaction, Response response) {
        return written(reaction, response) + sure.answers(new LinkRef(reaction.id(), response.id()));
    }

    @Override
    public double seconds(Reaction reaction) {
        return before.seconds(reaction);
    }

    @Override
    public double seconds(Clock clock) {
        Id situation = clocks.get(clock);
        return (CLOCK * before.seconds(clock) + seen.seconds(situation)) / runs(clock);
    }

    /** The means, worked out once for whoever asks for them often. */
    Rates settled() {
        Map<Reaction, double[]> weights = new IdentityHashMap<>();
        Map<Reaction, Double> works = new IdentityHashMap<>();
        for (Reaction reaction : index.map().reactions()) {
            works.put(reaction, works(reaction));
            weights.put(reaction, reaction.responses().stream().mapToDouble(response -> weight(reaction, response)).toArray());
        }
        return new Rates() {
            @Override
            public double works(Reaction reaction) {
                Double known = works.get(reaction);
                return known == null ? Beliefs.this.works(reaction) : known;
            }

            @Override
            public double weight(Reaction reaction, Response response) {
                double[] known = weights.get(reaction);
                for (int i = 0; known != null && i < known.length; i++) {
                    if (reaction.responses().get(i) == response) {
                        return known[i];
                    }
                }
                return Beliefs.this.weight(reaction, response);
            }

            @Override
            public double seconds(Reaction reaction) {
                return Beliefs.this.seconds(reaction);
            }

            @Override
            public double seconds(Clock clock) {
                return Beliefs.this.seconds(clock);
            }
        };
    }

    /** Draws figures as they may be; all of them anew each time. */
    public Supplier<Rates> drawing(SplittableRandom random) {
        return new Drawing(this, together(), random);
    }

    /** Runs of a clock that are behind what is believed of it, as if each had been seen. */
    double runs(Clock clock) {
        return CLOCK + seen.runs(clocks.get(clock));
    }

    MapIndex index() {
        return index;
    }

    /** Answers among which one is chosen in a situation. */
    List<Reaction> taught(Id situation) {
        return index.reactionsFrom(situation).stream().filter(one -> usual.containsKey(one.id())).toList();
    }

    /** As if it had been chosen so often, but for what was reckoned. */
    double notedChoices(Reaction reaction) {
        return CHOICES * usual.getOrDefault(reaction.id(), 0.0) + sure.choices(reaction.id());
    }
}
