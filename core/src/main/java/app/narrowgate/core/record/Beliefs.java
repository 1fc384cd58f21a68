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
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.GammaDistribution;

/**
 * What is believed of a map's figures: what is written on it, and what was seen since, by Bayes' rule with conjugate priors. How often an
 * answer gets going is a beta, how it is answered a Dirichlet distribution, and so is which answer is chosen where several are taught; a
 * clock's rate is a gamma distribution, as its time is Erlang distributed ({@link InTime}). Their means are figures like any others. What was
 * not seen but reckoned moves the means as if it had been seen, but makes them only as sure as it may ({@link Joint}).
 *
 * <p>The strengths of what is written are our estimates: eight trials for an answer, twelve for what it is answered with, eight runs of a clock,
 * four choices. Before anything was seen, the best answer is taken to be chosen every other time, and the others alike.
 */
public final class Beliefs implements Rates {

    static final double WORKS = 8;
    static final double ANSWERS = 12;
    static final double CLOCK = 8;
    static final double CHOICES = 4;
    private static final double BEST = 0.9;

    /** What a drawn chance cannot come nearer to 0 and 1 than, where rounds speak for several at once. */
    private static final double LEAST = 1e-4;

    /** 1 over the variance of what is certain. */
    private static final double CERTAIN = 1e12;

    private final MapIndex index;
    private final Rates before;
    /** How often each answer is chosen, before anything is seen. */
    private final Map<Id, Double> usual;
    private final Evidence evidence;
    private final Counts sure;
    private final Counts seen;
    /** By the clock itself: two places may have the same one. */
    private final Map<Clock, Id> clocks = new IdentityHashMap<>();
    /** Figures that rounds speak for together, and where those of reactions and of links stand among them. */
    private final List<Figure> figures = new ArrayList<>();
    private final Map<Id, Integer> works = new HashMap<>();
    private final Map<LinkRef, Integer> answers = new HashMap<>();
    private final Joint joint;

    /**
     * A figure that rounds speak for together with others.
     *
     * @param likely its mean
     * @param variance of what is believed of it but for what was reckoned
     * @param came how often something that counts for it came
     * @param of how often it could have
     * @param scale what the score is divided by
     * @param off a draw of what is believed of it but for what was reckoned, less its mean
     */
    private record Figure(double likely, double variance, ToDoubleFunction<Counts> came, ToDoubleFunction<Counts> of, double scale,
            ToDoubleFunction<UniformRandomProvider> off) {

        /** How the likelihood of a round moves with it. */
        double score(Counts counts) {
            return scale > 0 ? (came.applyAsDouble(counts) - likely * of.applyAsDouble(counts)) / scale : 0;
        }

        double precision() {
            return variance > 0 ? 1 / variance : CERTAIN;
        }
    }

    private Beliefs(MapIndex index, Rates before, Map<Id, Double> usual, Evidence evidence) {
        this.index = index;
        this.before = before;
        this.usual = usual;
        this.evidence = evidence;
        this.sure = evidence.sure();
        Counts reckoned = evidence.reckoned();
        this.seen = new Counts();
        seen.add(sure, 1);
        seen.add(reckoned, 1);
        index.map().situations().forEach(situation -> situation.clock().ifPresent(clock -> clocks.put(clock, situation.id())));
        for (Situation situation : index.map().situations()) {
            List<Reaction> taught = index.reactionsFrom(situation.id()).stream().filter(one -> usual.containsKey(one.id())).toList();
            if (taught.size() > 1 && taught.stream().anyMatch(one -> reckoned.choices(one.id()) > 0)) {
                double noted = CHOICES + taught.stream().mapToDouble(one -> sure.choices(one.id())).sum();
                taught.forEach(one -> share(chosen(one), CHOICES * usual.get(one.id()) + sure.choices(one.id()), noted,
                        counts -> counts.choices(one.id()), counts -> taught.stream().mapToDouble(other -> counts.choices(other.id())).sum()));
            }
        }
        for (Reaction reaction : index.map().reactions()) {
            if (reckoned.tries(reaction.id()) > 0) {
                together(reaction);
            }
        }
        List<double[]> scores = new ArrayList<>();
        evidence.kinds().stream().filter(kind -> !kind.whole()).forEach(kind -> scores.add(
                figures.stream().mapToDouble(figure -> Math.sqrt(kind.times()) * figure.score(kind.counts())).toArray()));
        this.joint = new Joint(figures.stream().mapToDouble(Figure::precision).toArray(), scores);
    }

    private void together(Reaction reaction) {
        Id id = reaction.id();
        Beta noted = noted(reaction);
        works.put(id, figures.size());
        figures.add(new Figure(works(reaction), noted.variance(), counts -> counts.going(id), counts -> counts.tries(id),
                works(reaction) * (1 - works(reaction)), random -> noted.drawn(random) - noted.mean()));
        double all = reaction.responses().stream().mapToDouble(one -> weight(reaction, one)).sum();
        double sum = reaction.responses().stream().mapToDouble(one -> noted(reaction, one)).sum();
        for (Response response : reaction.responses()) {
            LinkRef link = new LinkRef(id, response.id());
            answers.put(link, figures.size());
            share(weight(reaction, response) / all, noted(reaction, response), sum, counts -> counts.answers(link), counts -> counts.going(id));
        }
    }

    /** @param alpha as if it had been seen so often, but for what was reckoned; {@code sum} in all */
    private void share(double likely, double alpha, double sum, ToDoubleFunction<Counts> came, ToDoubleFunction<Counts> of) {
        figures.add(new Figure(likely, alpha / (sum * sum), came, of, likely, random -> (gamma(alpha, random) - alpha) / sum));
    }

    /** What is written on a map under a setting, and nothing seen yet. */
    public static Beliefs of(SolvedMap written) {
        Map<Id, Double> usual = new HashMap<>();
        for (int s = 0; s < written.game().situations; s++) {
            List<Reaction> taught = written.conditions().usable(written.map().situations().get(s));
            Optional<Reaction> best = written.best(s);
            for (Reaction reaction : taught) {
                double share = taught.size() == 1 ? 1 : (best.isPresent() ? 1 - BEST : 1) / (taught.size() - (best.isPresent() ? 1 : 0));
                usual.put(reaction.id(), taught.size() > 1 && best.equals(Optional.of(reaction)) ? BEST : share);
            }
        }
        return new Beliefs(written.index(), written.rates(), usual, Evidence.none());
    }

    /** What is believed, taken as if it were written. */
    Beliefs asWritten() {
        Map<Id, Double> chosen = new HashMap<>();
        usual.keySet().forEach(id -> chosen.put(id, chosen(index.reaction(id).orElseThrow())));
        return new Beliefs(index, this, chosen, Evidence.none());
    }

    /** What is believed after other evidence than this. */
    Beliefs after(Evidence other) {
        return new Beliefs(index, before, usual, other);
    }

    /** What was seen, and what was reckoned from it. */
    public Evidence evidence() {
        return evidence;
    }

    /** How often {@code reaction} is chosen where it is taught, in [0,1]; 0 where the setting closes it. */
    public double chosen(Reaction reaction) {
        double all = CHOICES + index.reactionsFrom(reaction.from()).stream().mapToDouble(one -> seen.choices(one.id())).sum();
        return (CHOICES * usual.getOrDefault(reaction.id(), 0.0) + seen.choices(reaction.id())) / all;
    }

    /** What is believed of how often {@code reaction} gets going, but for what was reckoned. */
    private Beta noted(Reaction reaction) {
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
        if (!works.containsKey(reaction.id()) || mean <= 0 || mean >= 1) {
            return whole;
        }
        double strength = mean * (1 - mean) / joint.variance(works.get(reaction.id())) - 1;
        return Beta.of(mean, Math.min(whole.yes() + whole.no(), Math.max(WORKS, strength)));
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
    private double noted(Reaction reaction, Response response) {
        return written(reaction, response) + sure.answers(new LinkRef(reaction.id(), response.id()));
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
    public Rates drawn(SplittableRandom random) {
        return new Drawn(random);
    }

    private static double gamma(double shape, UniformRandomProvider random) {
        return GammaDistribution.of(shape, 1).createSampler(random).sample();
    }

    /** Figures drawn from what is believed. */
    private final class Drawn implements Rates {

        private final Map<Id, Double> drawnWorks = new HashMap<>();
        private final Map<LinkRef, Double> weights = new HashMap<>();
        private final Map<Clock, Double> clockSeconds = new IdentityHashMap<>();

        private Drawn(SplittableRandom seeded) {
            UniformRandomProvider random = seeded::nextLong;
            double[] pulled = joint.drawn(figures.stream().mapToDouble(figure -> figure.off().applyAsDouble(random)).toArray(), seeded);
            for (Reaction reaction : index.map().reactions()) {
                Integer at = works.get(reaction.id());
                drawnWorks.put(reaction.id(), at == null || figures.get(at).scale() <= 0 ? noted(reaction).drawn(random)
                        : Math.min(1 - LEAST, Math.max(LEAST, figures.get(at).likely() + pulled[at])));
                for (Response response : reaction.responses()) {
                    LinkRef link = new LinkRef(reaction.id(), response.id());
                    Integer share = answers.get(link);
                    weights.put(link, share == null ? Math.max(Double.MIN_NORMAL, gamma(noted(reaction, response), random))
                            : Math.max(LEAST, figures.get(share).likely() + pulled[share]));
                }
            }
            for (Situation situation : index.map().situations()) {
                situation.clock().ifPresent(clock -> clockSeconds.put(clock, mean(clock, situation.id(), random)));
            }
        }

        /** A mean time: the shape over a drawn rate, whose prior makes the mean of all such times the one that is believed. */
        private double mean(Clock clock, Id situation, UniformRandomProvider random) {
            double runs = CLOCK + seen.runs(situation);
            double rate = gamma(InTime.SHAPE * runs + 1, random) / (runs * Beliefs.this.seconds(clock));
            return InTime.SHAPE / rate;
        }

        @Override
        public double works(Reaction reaction) {
            return drawnWorks.get(reaction.id());
        }

        @Override
        public double weight(Reaction reaction, Response response) {
            return weights.get(new LinkRef(reaction.id(), response.id()));
        }

        @Override
        public double seconds(Reaction reaction) {
            return before.seconds(reaction);
        }

        @Override
        public double seconds(Clock clock) {
            return clockSeconds.get(clock);
        }
    }
}
