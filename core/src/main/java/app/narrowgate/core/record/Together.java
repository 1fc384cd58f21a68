package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.rng.UniformRandomProvider;

/** Figures of which rounds speak together: how often answers are chosen and get going, and what they are answered with. */
final class Together {

    /** Rounds that take less than this share of its variance from a figure say nothing of it. */
    private static final double NOTHING = 0.005;

    /** 1 over the variance of what is certain. */
    private static final double CERTAIN = 1e12;

    /** All figures there are; those of which rounds speak together have a place in {@link #figures}. */
    private final List<Figure> all = new ArrayList<>();
    private final List<Figure> figures = new ArrayList<>();
    /** Index in all: the place in figures; below 0 where rounds say nothing of it. */
    private final int[] place;
    private final Map<Id, Taught> taught = new LinkedHashMap<>();
    private final Map<Id, Tried> tried = new HashMap<>();
    private final Joint joint;

    /** The figures of which answer is chosen in a situation. */
    private record Taught(List<Id> reactions, int[] chosen) {
    }

    /** Those of an answer: how often it gets going, and its responses. */
    private record Tried(int works, List<LinkRef> links, int[] answers) {
    }

    /**
     * One of them.
     *
     * @param likely its mean
     * @param variance of what is believed of it but for what was reckoned
     * @param scale what the score is divided by
     */
    record Figure(double likely, double variance, double scale, Prior prior) {

        /** How the likelihood of a round moves with it, in which what counts for it came so often, of so many times that it could have. */
        double score(double came, double of) {
            return scale > 0 ? (came - likely * of) / scale : 0;
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
        for (Situation situation : beliefs.index().map().situations()) {
            List<Reaction> here = beliefs.taught(situation.id());
            if (here.size() > 1) {
                double sum = here.stream().mapToDouble(beliefs::notedChoices).sum();
                int[] chosen = here.stream().mapToInt(one -> add(share(beliefs.chosen(one), beliefs.notedChoices(one), sum))).toArray();
                taught.put(situation.id(), new Taught(here.stream().map(Reaction::id).toList(), chosen));
            }
        }
        for (Reaction reaction : beliefs.index().map().reactions()) {
            Beta noted = beliefs.noted(reaction);
            double mean = beliefs.works(reaction);
            int works = add(new Figure(mean, noted.variance(), mean * (1 - mean), random -> {
                Sampler drawn = noted.sampler(random);
                return () -> drawn.next() - noted.mean();
            }));
            double likely = reaction.responses().stream().mapToDouble(one -> beliefs.weight(reaction, one)).sum();
            double sum = reaction.responses().stream().mapToDouble(one -> beliefs.noted(reaction, one)).sum();
            tried.put(reaction.id(), new Tried(works, reaction.responses().stream().map(one -> new LinkRef(reaction.id(), one.id())).toList(),
                    reaction.responses().stream().mapToInt(one -> add(share(beliefs.weight(reaction, one) / likely, beliefs.noted(reaction, one), sum)))
                            .toArray()));
        }
        double[][] scores = beliefs.evidence().kinds().stream().filter(kind -> !kind.whole()).map(this::scores).toArray(double[][]::new);
        double[] information = new double[all.size()];
        for (double[] score : scores) {
            for (int i = 0; i < score.length; i++) {
                information[i] += score[i] * score[i];
            }
        }
        this.place = new int[all.size()];
        List<Integer> spoken = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            boolean says = information[i] > NOTHING * all.get(i).precision();
            place[i] = says ? figures.size() : -1;
            if (says) {
                figures.add(all.get(i));
                spoken.add(i);
            }
        }
        double[][] kept = new double[scores.length][];
        for (int kind = 0; kind < kept.length; kind++) {
            double[] score = scores[kind];
            kept[kind] = spoken.stream().mapToDouble(i -> score[i]).toArray();
        }
        this.joint = new Joint(figures.stream().mapToDouble(Figure::precision).toArray(), kept);
    }

    private int add(Figure figure) {
        all.add(figure);
        return all.size() - 1;
    }

    /** Index in all: how the likelihood of rounds of a kind moves with each figure, times the root of how many there were. */
    double[] scores(Evidence.Kind kind) {
        double[] scores = new double[all.size()];
        double root = Math.sqrt(kind.times());
        Counts counts = kind.counts();
        taught.values().forEach(here -> {
            double of = here.reactions().stream().mapToDouble(counts::choices).sum();
            for (int i = 0; of > 0 && i < here.chosen().length; i++) {
                scores[here.chosen()[i]] = root * all.get(here.chosen()[i]).score(counts.choices(here.reactions().get(i)), of);
            }
        });
        for (Id reaction : counts.reactions()) {
            Tried one = tried.get(reaction);
            double tries = counts.tries(reaction);
            if (one != null && tries > 0) {
                double going = counts.going(reaction);
                scores[one.works()] = root * all.get(one.works()).score(going, tries);
                for (int i = 0; i < one.answers().length; i++) {
                    scores[one.answers()[i]] = root * all.get(one.answers()[i]).score(counts.answers(one.links().get(i)), going);
                }
            }
        }
        return scores;
    }

    /**
     * Index in all: how much each figure moves the odds.
     *
     * @param of by a reaction's own chance, and by each of its responses in order; nothing for those that do not move them
     */
    double[] moves(Map<Id, double[]> of) {
        double[] moves = new double[all.size()];
        of.forEach((reaction, each) -> {
            Tried one = tried.get(reaction);
            moves[one.works()] = each[0];
            for (int i = 0; i < one.answers().length; i++) {
                moves[one.answers()[i]] = each[i + 1];
            }
        });
        return moves;
    }

    /** The variance of all figures together, times {@code of}, index in all. */
    double[] varied(double[] of) {
        double[] spoken = new double[figures.size()];
        for (int i = 0; i < of.length; i++) {
            if (place[i] >= 0) {
                spoken[place[i]] = of[i];
            }
        }
        double[] joined = joint.varied(spoken);
        double[] varied = new double[of.length];
        for (int i = 0; i < of.length; i++) {
            varied[i] = place[i] >= 0 ? joined[place[i]] : all.get(i).variance() * of[i];
        }
        return varied;
    }

    /** @param alpha as if it had been seen so often, but for what was reckoned; {@code sum} in all */
    private static Figure share(double likely, double alpha, double sum) {
        return new Figure(likely, alpha / (sum * sum), likely, random -> {
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
        return at(tried.get(reaction).works());
    }

    /** Where the share of a response stands among them; empty as above. */
    Optional<Integer> answer(LinkRef link) {
        Tried one = tried.get(link.reaction());
        return at(one.answers()[one.links().indexOf(link)]);
    }

    private Optional<Integer> at(int figure) {
        return place[figure] < 0 ? Optional.empty() : Optional.of(place[figure]);
    }

    /** The variance of how often a reaction gets going; empty where rounds say nothing of it together with others. */
    Optional<Double> variance(Id reaction) {
        return works(reaction).map(joint::variance);
    }
}
