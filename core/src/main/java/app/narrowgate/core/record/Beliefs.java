package app.narrowgate.core.record;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.InTime;
import app.narrowgate.core.odds.Rates;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.Map;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * What is believed of a map's figures: what is written on it, and what was seen since, by Bayes' rule with conjugate priors. How often an
 * answer gets going is a beta, how it is answered a Dirichlet distribution; a clock's rate is a gamma distribution, as its time is Erlang
 * distributed ({@link InTime}). Their means are figures like any others.
 *
 * <p>The strengths of what is written are our estimates: eight trials for an answer, twelve for what it is answered with, eight runs of a clock.
 */
public final class Beliefs implements Rates {

    static final double WORKS = 8;
    static final double ANSWERS = 12;
    static final double CLOCK = 8;

    private final MapIndex index;
    private final Rates before;
    private final Counts seen;
    /** By the clock itself: two places may have the same one. */
    private final Map<Clock, Id> clocks = new IdentityHashMap<>();

    private Beliefs(MapIndex index, Rates before, Counts seen) {
        this.index = index;
        this.before = before;
        this.seen = seen;
        index.map().situations().forEach(situation -> situation.clock().ifPresent(clock -> clocks.put(clock, situation.id())));
    }

    /** What is written on a map, and what was seen since. */
    public static Beliefs of(MapIndex index, Counts seen) {
        return new Beliefs(index, Rates.WRITTEN, seen);
    }

    /** What is believed of one of a group: what is believed of the group is what is written for them, and what was seen of them comes to it. */
    public Beliefs of(Counts own) {
        return new Beliefs(index, this, own);
    }

    /** How often {@code reaction} gets going. */
    public Beta going(Reaction reaction) {
        double tries = seen.tries(reaction.id());
        double went = Math.min(tries, seen.going(reaction.id()));
        return Beta.of(before.works(reaction), WORKS).after(went, tries - went);
    }

    @Override
    public double works(Reaction reaction) {
        return going(reaction).mean();
    }

    /** As if the response had been given so often. */
    @Override
    public double weight(Reaction reaction, Response response) {
        double all = reaction.responses().stream().mapToDouble(one -> before.weight(reaction, one)).sum();
        return ANSWERS * before.weight(reaction, response) / all + seen.answers(new LinkRef(reaction.id(), response.id()));
    }

    @Override
    public double seconds(Reaction reaction) {
        return before.seconds(reaction);
    }

    @Override
    public double seconds(Clock clock) {
        Id situation = clocks.get(clock);
        return (CLOCK * before.seconds(clock) + seen.seconds(situation)) / (CLOCK + seen.runs(situation));
    }

    /** Figures as they may be; each is drawn once. */
    public Rates drawn(UniformRandomProvider random) {
        return new Drawn(random);
    }

    /** Figures drawn from what is believed. */
    private final class Drawn implements Rates {

        private final Map<Id, Double> works = new HashMap<>();
        private final Map<LinkRef, Double> weights = new HashMap<>();
        private final Map<Clock, Double> seconds = new IdentityHashMap<>();

        private Drawn(UniformRandomProvider random) {
            for (Reaction reaction : index.map().reactions()) {
                works.put(reaction.id(), going(reaction).drawn(random));
                if (reaction.responses().size() > 1) {
                    for (Response response : reaction.responses()) {
                        weights.put(new LinkRef(reaction.id(), response.id()), Math.max(Double.MIN_NORMAL, gamma(weight(reaction, response), random)));
                    }
                }
            }
            for (Situation situation : index.map().situations()) {
                situation.clock().ifPresent(clock -> seconds.put(clock, mean(clock, situation.id(), random)));
            }
        }

        /** A mean time: the shape over a drawn rate, whose prior makes the mean of all such times the one that is believed. */
        private double mean(Clock clock, Id situation, UniformRandomProvider random) {
            double runs = CLOCK + seen.runs(situation);
            double rate = gamma(InTime.SHAPE * runs + 1, random) / (runs * Beliefs.this.seconds(clock));
            return InTime.SHAPE / rate;
        }

        private static double gamma(double shape, UniformRandomProvider random) {
            return GammaDistribution.of(shape, 1).createSampler(random).sample();
        }

        @Override
        public double works(Reaction reaction) {
            return works.get(reaction.id());
        }

        @Override
        public double weight(Reaction reaction, Response response) {
            return weights.getOrDefault(new LinkRef(reaction.id(), response.id()), 1.0);
        }

        @Override
        public double seconds(Reaction reaction) {
            return before.seconds(reaction);
        }

        @Override
        public double seconds(Clock clock) {
            return seconds.get(clock);
        }
    }
}
