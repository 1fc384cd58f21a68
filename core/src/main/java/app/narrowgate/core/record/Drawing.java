package app.narrowgate.core.record;

import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.odds.InTime;
import app.narrowgate.core.odds.Rates;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.statistics.distribution.ContinuousDistribution;
import org.apache.commons.statistics.distribution.GammaDistribution;

/** Draws figures from what is believed of them, for the very map of which it is believed. */
final class Drawing implements Supplier<Rates> {

    /** What a drawn chance cannot come nearer to 0 and 1 than, where rounds speak for several at once. */
    private static final double LEAST = 1e-4;

    private final Beliefs beliefs;
    private final SplittableRandom random;
    private final Joint joint;
    private final List<Together.Sampler> off = new ArrayList<>();
    private final double[] likely;
    private final Map<Reaction, Place> places = new IdentityHashMap<>();
    private final List<Drawn> works = new ArrayList<>();
    private final List<Drawn> answers = new ArrayList<>();
    private final List<Mean> clocks = new ArrayList<>();

    /**
     * A figure that is drawn.
     *
     * @param together where it stands among those that are drawn together; below 0 where it is drawn by itself
     * @param alone draws it by itself
     */
    private record Drawn(int together, Together.Sampler alone) {
    }

    /** Where what is drawn of a reaction stands: its own chance, and the first of its answers, which follow one another. */
    private record Place(int works, int answers) {
    }

    /** A clock's mean time; two places may have equal clocks. */
    private record Mean(Clock clock, Together.Sampler drawn) {
    }

    Drawing(Beliefs beliefs, Together together, SplittableRandom seeded) {
        UniformRandomProvider provider = seeded::nextLong;
        this.beliefs = beliefs;
        this.random = seeded;
        this.joint = together.joint();
        together.figures().forEach(figure -> off.add(figure.prior().off(provider)));
        this.likely = together.figures().stream().mapToDouble(Together.Figure::likely).toArray();
        for (Reaction reaction : beliefs.index().map().reactions()) {
            Optional<Integer> at = together.works(reaction.id()).filter(figure -> together.figures().get(figure).scale() > 0);
            places.put(reaction, new Place(works.size(), answers.size()));
            works.add(new Drawn(at.orElse(-1), at.isPresent() ? null : beliefs.noted(reaction).sampler(provider)));
            double likelyWeights = reaction.responses().stream().mapToDouble(one -> beliefs.weight(reaction, one)).sum();
            for (Response response : reaction.responses()) {
                LinkRef link = new LinkRef(reaction.id(), response.id());
                double alpha = beliefs.noted(reaction, response);
                double mean = beliefs.weight(reaction, response) / likelyWeights;
                Together.Sampler gamma = gamma(alpha, provider);
                answers.add(new Drawn(together.answer(link).orElse(-1), () -> Math.max(Double.MIN_NORMAL, gamma.next() * mean / alpha)));
            }
        }
        beliefs.index().map().situations().forEach(situation -> situation.clock().ifPresent(clock -> clocks.add(new Mean(clock, mean(clock, provider)))));
    }

    static Together.Sampler gamma(double shape, UniformRandomProvider random) {
        ContinuousDistribution.Sampler sampler = GammaDistribution.of(shape, 1).createSampler(random);
        return sampler::sample;
    }

    /** A mean time: the shape over a drawn rate, whose prior makes the mean of all such times the one that is believed. */
    private Together.Sampler mean(Clock clock, UniformRandomProvider provider) {
        double runs = beliefs.runs(clock);
        double seconds = beliefs.seconds(clock);
        Together.Sampler gamma = gamma(InTime.SHAPE * runs + 1, provider);
        return () -> InTime.SHAPE * runs * seconds / gamma.next();
    }

    private static int place(List<Response> responses, Response response) {
        int place = 0;
        while (responses.get(place) != response) {
            place++;
        }
        return place;
    }

    private double[] values(List<Drawn> of, double[] drawn, double most) {
        double[] values = new double[of.size()];
        for (int i = 0; i < values.length; i++) {
            int at = of.get(i).together();
            values[i] = at < 0 ? of.get(i).alone().next() : Math.min(most, Math.max(LEAST, likely[at] + drawn[at]));
        }
        return values;
    }

    /** All of them, drawn once more. */
    @Override
    public Rates get() {
        double[] before = new double[off.size()];
        for (int i = 0; i < before.length; i++) {
            before[i] = off.get(i).next();
        }
        double[] drawn = joint.drawn(before, random);
        double[] chances = values(works, drawn, 1 - LEAST);
        double[] weights = values(answers, drawn, Double.MAX_VALUE);
        Map<Clock, Double> seconds = new IdentityHashMap<>();
        clocks.forEach(one -> seconds.put(one.clock(), one.drawn().next()));
        return new Rates() {
            @Override
            public double works(Reaction reaction) {
                return chances[places.get(reaction).works()];
            }

            @Override
            public double weight(Reaction reaction, Response response) {
                return weights[places.get(reaction).answers() + place(reaction.responses(), response)];
            }

            @Override
            public double seconds(Reaction reaction) {
                return beliefs.seconds(reaction);
            }

            @Override
            public double seconds(Clock clock) {
                return seconds.get(clock);
            }
        };
    }
}
