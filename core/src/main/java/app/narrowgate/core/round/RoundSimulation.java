package app.narrowgate.core.round;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Branch;
import app.narrowgate.core.odds.InTime;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.core.progress.Stopping;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.Game;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * Rolls rounds with the best choices, a clock that is drawn each time, and a partner who finds the worst answer as
 * often as the setting says. Agrees with the solver inside its own error. The same seed gives the same rounds.
 *
 * @param rounds how many were rolled
 * @param worth mean worth over the rounds
 * @param error standard error of that mean
 * @param ends share of rounds that ended in each place; what is missing to 1 did not end
 * @param cutOff share of rounds held for ever, or still going after the limit of exchanges
 * @param seconds time to the end of the rounds that ended in something of worth, at the 10th, 25th, 50th, 75th and 90th
 *     of 100; empty when there was none
 * @param stories the first few rounds, step by step
 */
public record RoundSimulation(int rounds, double worth, double error, Map<Id, Double> ends, double cutOff,
        List<Double> seconds, List<Story> stories) {

    /** Rounds that may be asked for. */
    public static final int MOST_ROUNDS = 1_000_000;
    private static final int MOST_EXCHANGES = 400;
    private static final double[] QUANTILES = {0.10, 0.25, 0.50, 0.75, 0.90};

    public RoundSimulation {
        ends = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(ends));
        seconds = List.copyOf(seconds);
        stories = List.copyOf(stories);
    }

    /**
     * One exchange of a round.
     *
     * @param reaction what you did; empty where nothing is taught
     * @param response what they did about it, where it got going
     * @param seconds on the clock of the round when it was over
     */
    public record Step(Id situation, Optional<Id> reaction, Branch.Cause event, Optional<Id> response, Id lands,
            double seconds) {
    }

    /** One round. */
    public record Story(List<Step> steps, Id end, boolean cutOff) {
        public Story {
            steps = List.copyOf(steps);
        }
    }

    /**
     * Rolls {@code rounds} rounds on {@code solved} from the starts, or from one situation.
     *
     * @param stories how many rounds to tell in full
     * @throws RefusedException for counts outside, an unknown situation, or a map in which nobody starts
     * @throws StoppedException when {@code progress} asks to stop, or {@link Stopping} says so, looked at each round
     */
    public static RoundSimulation run(SolvedMap solved, Optional<Id> from, int rounds, int stories,
            long seed, Progress progress) {
        if (!(rounds >= 1 && rounds <= MOST_ROUNDS)) {
            throw new RefusedException(
                    "%d rounds; between 1 and %d can be rolled.".formatted(rounds, MOST_ROUNDS));
        }
        return new Roller(solved.converged(), from, seed).run(rounds, stories, progress);
    }

    private static final class Roller {
        private final SolvedMap solved;
        private final Game game;
        private final double[] values;
        private final double[] cumulative;
        private final double[] takes;
        private final double[] clock;
        private final SplittableRandom random;

        Roller(SolvedMap solved, Optional<Id> from, long seed) {
            this.solved = solved;
            this.game = solved.game();
            this.values = solved.solution().values();
            this.random = new SplittableRandom(seed);
            this.cumulative = cumulative(from);
            this.takes = new double[game.situations];
            this.clock = new double[game.situations];
            for (int s = 0; s < game.situations; s++) {
                clock[s] = solved.clockSeconds(s);
                takes[s] = solved.best(s).map(solved::takes).orElse(0.0);
            }
        }

        private double[] cumulative(Optional<Id> from) {
            double[] starts = solved.startsAt(from);
            double sum = 0;
            for (int s = 0; s < game.situations; s++) {
                sum += starts[s];
                starts[s] = sum;
            }
            if (sum <= 0) {
                throw new RefusedException("Nobody starts anywhere on this map; give a situation an entry weight.");
            }
            return starts;
        }

        RoundSimulation run(int rounds, int stories, Progress progress) {
            Map<Id, Double> ends = new LinkedHashMap<>();
            List<Story> told = new ArrayList<>();
            double[] seconds = new double[rounds];
            int out = 0;
            int cut = 0;
            double sum = 0;
            double squares = 0;
            for (int round = 0; round < rounds; round++) {
                Stopping.check();
                if (round % 4096 == 0) {
                    progress.at(round, rounds);
                }
                List<Step> steps = told.size() < stories ? new ArrayList<>() : null;
                Roll roll = roll(steps);
                if (steps != null) {
                    told.add(new Story(steps, solved.placeId(roll.place), roll.cut));
                }
                double worth = roll.cut ? 0 : game.worth[roll.place];
                sum += worth;
                squares += worth * worth;
                if (roll.cut) {
                    cut++;
                } else {
                    ends.merge(solved.placeId(roll.place), 1.0 / rounds, Double::sum);
                    if (worth > 0) {
                        seconds[out++] = roll.seconds;
                    }
                }
            }
            double mean = sum / rounds;
            double error = Math.sqrt(Math.max(0, squares / rounds - mean * mean) / rounds);
            return new RoundSimulation(rounds, mean, error, ends, (double) cut / rounds,
                    quantiles(Arrays.copyOf(seconds, out)), told);
        }

        private record Roll(int place, double seconds, boolean cut) {
        }

        private Roll roll(List<Step> steps) {
            int s = pick();
            double time = 0;
            for (int exchange = 0; exchange < MOST_EXCHANGES; exchange++) {
                if (solved.chain().stays(s)) {
                    return new Roll(s, time, !solved.chain().ends(s));
                }
                boolean waits = solved.solution().choice(s) == Choice.Still.WAIT;
                int o = solved.solution().choice(s) instanceof Choice.Try tried ? tried.option() : -1;
                double advance = erlang(clock[s]);
                int lands;
                Branch.Cause event;
                int answer = -1;
                if (waits || advance <= takes[s]) {
                    event = waits ? Branch.Cause.WAITED : Branch.Cause.TOO_SLOW;
                    lands = game.becomes[s];
                    time += advance;
                } else {
                    time += takes[s];
                    double works = game.going[o] / (game.going[o] + game.stuffedShare[o]);
                    if (random.nextDouble() < works) {
                        event = Branch.Cause.RESPONSE;
                        answer = answer(o);
                        lands = game.landing[answer];
                    } else {
                        event = Branch.Cause.STUFFED;
                        lands = game.stuffed[o];
                    }
                }
                if (steps != null) {
                    steps.add(step(s, o, event, answer, lands, time));
                }
                s = lands;
            }
            return new Roll(s, time, true);
        }

        private Step step(int s, int o, Branch.Cause event, int answer, int lands, double time) {
            Optional<Reaction> reaction = solved.best(s);
            Optional<Id> response = answer < 0
                    ? Optional.empty()
                    : reaction.map(r -> r.responses().get(answer - game.responseStart[o]).id());
            return new Step(solved.placeId(s), reaction.map(Reaction::id), event, response, solved.placeId(lands), time);
        }

        private int answer(int o) {
            if (!game.read.isNone() && random.nextDouble() < game.read.share()) {
                return game.worstResponse(o, values);
            }
            double u = random.nextDouble();
            int last = game.responseStart[o + 1] - 1;
            for (int i = game.responseStart[o]; i < last; i++) {
                u -= game.chance[i];
                if (u < 0) {
                    return i;
                }
            }
            return last;
        }

        private int pick() {
            double u = random.nextDouble() * cumulative[game.situations - 1];
            for (int s = 0; s < game.situations; s++) {
                if (u < cumulative[s]) {
                    return s;
                }
            }
            return game.situations - 1;
        }

        /** A sum of exponential times; infinite without a clock. */
        private double erlang(double mean) {
            if (Double.isInfinite(mean)) {
                return mean;
            }
            double product = 1;
            for (int k = 0; k < InTime.SHAPE; k++) {
                product *= 1 - random.nextDouble();
            }
            return -Math.log(product) * mean / InTime.SHAPE;
        }

        private static List<Double> quantiles(double[] seconds) {
            if (seconds.length == 0) {
                return List.of();
            }
            Arrays.sort(seconds);
            List<Double> quantiles = new ArrayList<>();
            for (double q : QUANTILES) {
                quantiles.add(seconds[(int) Math.min(seconds.length - 1, Math.floor(q * seconds.length))]);
            }
            return quantiles;
        }
    }
}
