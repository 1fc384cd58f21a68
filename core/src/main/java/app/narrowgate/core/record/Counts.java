package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.odds.SolvedMap;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How often answers were tried in time, how often they got going, what they were answered with, and how long clocks ran. Numbers need not
 * be whole: what was not noted counts as often as is to be expected, and what is old counts less.
 */
public final class Counts {

    private static final double WHOLE = 1e-9;

    private final Map<Id, double[]> tries = new HashMap<>();
    private final Map<Id, Double> choices = new HashMap<>();
    private final Map<LinkRef, Double> answers = new HashMap<>();
    private final Map<Id, double[]> clocks = new HashMap<>();

    /** How often {@code reaction} was chosen, at least 0. */
    public double choices(Id reaction) {
        return choices.getOrDefault(reaction, 0.0);
    }

    /** How often {@code reaction} was tried in time, at least 0. */
    public double tries(Id reaction) {
        return tries.containsKey(reaction) ? tries.get(reaction)[0] : 0;
    }

    /** How often it got going, in [0,{@link #tries}]. */
    public double going(Id reaction) {
        return tries.containsKey(reaction) ? tries.get(reaction)[1] : 0;
    }

    /** How often a link came, at least 0. */
    public double answers(LinkRef link) {
        return answers.getOrDefault(link, 0.0);
    }

    /** How often the clock of a situation was seen to run out. */
    public double runs(Id situation) {
        return clocks.containsKey(situation) ? clocks.get(situation)[0] : 0;
    }

    /** Seconds that it ran in all of them. */
    public double seconds(Id situation) {
        return clocks.containsKey(situation) ? clocks.get(situation)[1] : 0;
    }

    /** True where nothing was counted. */
    public boolean isEmpty() {
        return choices.isEmpty() && tries.isEmpty() && answers.isEmpty() && clocks.isEmpty();
    }

    /** True where everything was counted a whole number of times: there is no doubt about what happened. */
    boolean isWhole() {
        return Stream.of(choices.values().stream(), tries.values().stream().flatMapToDouble(Arrays::stream).boxed(), answers.values().stream())
                .flatMap(one -> one)
                .allMatch(times -> Math.abs(times - Math.rint(times)) < WHOLE);
    }

    /** Reactions of which something was counted. */
    Set<Id> reactions() {
        Set<Id> all = new HashSet<>(choices.keySet());
        all.addAll(tries.keySet());
        return all;
    }

    void chosen(Id reaction, double times) {
        choices.merge(reaction, times, Double::sum);
    }

    void tried(Id reaction, double times, double going) {
        add(tries, reaction, times, going);
    }

    void answered(LinkRef link, double times) {
        answers.merge(link, times, Double::sum);
    }

    void ran(Id situation, double times, double seconds) {
        add(clocks, situation, times, seconds);
    }

    /** With what rounds of a kind counted. */
    Counts and(Evidence.Kind kind) {
        Counts more = new Counts();
        more.add(this, 1);
        more.add(kind.counts(), kind.times());
        return more;
    }

    /** Adds {@code weight} times what {@code other} counted. */
    void add(Counts other, double weight) {
        other.choices.forEach((id, times) -> chosen(id, weight * times));
        other.tries.forEach((id, both) -> add(tries, id, weight * both[0], weight * both[1]));
        other.answers.forEach((link, times) -> answered(link, weight * times));
        other.clocks.forEach((id, both) -> add(clocks, id, weight * both[0], weight * both[1]));
    }

    /** The same as against an even partner: what the setting of {@code solved} alone makes of an answer is taken off. */
    Counts level(SolvedMap solved) {
        Counts level = new Counts();
        level.add(this, 1);
        level.tries.forEach((id, both) -> solved.index().reaction(id).ifPresent(reaction -> {
            double shifted = solved.conditions().works(reaction) - solved.rates().works(reaction);
            both[1] = Math.min(both[0], Math.max(0, both[1] - both[0] * shifted));
        }));
        return level;
    }

    private static void add(Map<Id, double[]> to, Id id, double one, double two) {
        double[] both = to.computeIfAbsent(id, i -> new double[2]);
        both[0] += one;
        both[1] += two;
    }
}
