package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.apache.commons.rng.UniformRandomProvider;

/** Figures of which rounds speak together: how often answers are chosen and get going, and what they are answered with. */
final class Together {

    /** Rounds that take less than this share of its variance from a figure say nothing of it. */
    private static final double NOTHING = 0.005;

    /** 1 over the variance of what is certain. */
    private static final double CERTAIN = 1e12;

    private final List<Figure> figures = new ArrayList<>();
    /** Where the figures of reactions and of links stand among them. */
    private final Map<Id, Integer> works = new HashMap<>();
    private final Map<LinkRef, Integer> answers = new HashMap<>();
    private final Joint joint;

    /**
     * One of them.
     *
     * @param likely its mean
     * @param variance of what is believed of it but for what was reckoned
     * @param came how often something that counts for it came
     * @param of how often it could have
     * @param scale what the score is divided by
     */
    record Figure(double likely, double variance, ToDoubleFunction<Counts> came, ToDoubleFunction<Counts> of, double scale, Prior prior) {

        /** How the likelihood of a round moves with it. */
        double score(Counts counts) {
            return scale > 0 ? (came.applyAsDouble(counts) - likely * of.applyAsDouble(counts)) / scale : 0;
        }

        double precision() {
            return variance > 0 ? 1 / variance : CERTAIN;
        }
    }

    /** What is believed of a figure but for what was reckoned, from which it is drawn. */
    @FunctionalInterface
    interface Prior {

        /** How far a draw lies from the mean. */
        Sampler off(UniformRandomProvider random);
    }

    /** Draws numbers. */
    @FunctionalInterface
    interface Sampler {
        double next();
    }

    Together(Beliefs beliefs) {
        Counts reckoned = beliefs.evidence().reckoned();
        List<Evidence.Kind> kinds = beliefs.evidence().kinds().stream().filter(kind -> !kind.whole()).toList();
        List<Figure> all = new ArrayList<>();
        Map<Integer, Id> ofReaction = new HashMap<>();
        Map<Integer, LinkRef> ofLink = new HashMap<>();
        for (Situation situation : beliefs.index().map().situations()) {
            List<Reaction> taught = beliefs.taught(situation.id());
            if (taught.size() > 1 && taught.stream().anyMatch(one -> reckoned.choices(one.id()) > 0)) {
                double sum = taught.stream().mapToDouble(beliefs::notedChoices).sum();
                taught.forEach(one -> all.add(share(beliefs.chosen(one), beliefs.notedChoices(one), sum, counts -> counts.choices(one.id()),
                        counts -> taught.stream().mapToDouble(other -> counts.choices(other.id())).sum())));
            }
        }
        for (Reaction reaction : beliefs.index().map().reactions()) {
            Id id = reaction.id();
            if (reckoned.tries(id) > 0) {
                Beta noted = beliefs.noted(reaction);
                double mean = beliefs.works(reaction);
                ofReaction.put(all.size(), id);
                all.add(new Figure(mean, noted.variance(), counts -> counts.going(id), counts -> counts.tries(id), mean * (1 - mean), random -> {
                    Sampler drawn = noted.sampler(random);
                    return () -> drawn.next() - noted.mean();
                }));
                double likely = reaction.responses().stream().mapToDouble(one -> beliefs.weight(reaction, one)).sum();
                double sum = reaction.responses().stream().mapToDouble(one -> beliefs.noted(reaction, one)).sum();
                for (Response response : reaction.responses()) {
                    LinkRef link = new LinkRef(id, response.id());
                    ofLink.put(all.size(), link);
                    all.add(share(beliefs.weight(reaction, response) / likely, beliefs.noted(reaction, response), sum, counts -> counts.answers(link),
                            counts -> counts.going(id)));
                }
            }
        }
        double[][] scores = kinds.stream().map(kind -> all.stream().mapToDouble(figure -> Math.sqrt(kind.times()) * figure.score(kind.counts())).toArray())
                .toArray(double[][]::new);
        List<Integer> spoken = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            double information = 0;
            for (double[] score : scores) {
                information += score[i] * score[i];
            }
            if (information > NOTHING * all.get(i).precision()) {
                Optional.ofNullable(ofReaction.get(i)).ifPresent(id -> works.put(id, figures.size()));
                Optional.ofNullable(ofLink.get(i)).ifPresent(link -> answers.put(link, figures.size()));
                figures.add(all.get(i));
                spoken.add(i);
            }
        }
        double[][] kept = new double[scores.length][spoken.size()];
        for (int kind = 0; kind < kept.length; kind++) {
            for (int i = 0; i < spoken.size(); i++) {
                kept[kind][i] = scores[kind][spoken.get(i)];
            }
        }
        this.joint = new Joint(figures.stream().mapToDouble(Figure::precision).toArray(), kept);
    }

    /** @param alpha as if it had been seen so often, but for what was reckoned; {@code sum} in all */
    private static Figure share(double likely, double alpha, double sum, ToDoubleFunction<Counts> came, ToDoubleFunction<Counts> of) {
        return new Figure(likely, alpha / (sum * sum), came, of, likely, random -> {
            Sampler drawn = Drawing.gamma(alpha, random);
            return () -> (drawn.next() - alpha) / sum;
        });
    }

    List<Figure> figures() {
        return figures;
    }

    Joint joint() {
        return joint;
    }

    /** Where the chance that a reaction gets going stands among them; empty where rounds say nothing of it together with others. */
    Optional<Integer> works(Id reaction) {
        return Optional.ofNullable(works.get(reaction));
    }

    /** Where the share of a response stands among them; empty as above. */
    Optional<Integer> answer(LinkRef link) {
        return Optional.ofNullable(answers.get(link));
    }

    /** The variance of how often a reaction gets going; empty where rounds say nothing of it together with others. */
    Optional<Double> variance(Id reaction) {
        return works(reaction).map(joint::variance);
    }
}
