package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/**
 * Makes a round pattern: a walk on the layered graph of (place, recoveries so far).
 *
 * <p>Every link comes equally often for both partners, to within one, and so does every length of a turn. Within that
 * the next call is drawn; what helps those {@link Guessers} who are ahead is drawn less often, and calls that would need a reset only
 * where nothing else is left. Of up to {@value #MOST_ROWS} walks drawn so the one with the fewest resets is taken, among those the
 * one that is hardest to guess. Cost O(rows · turns · recoveries · links). Deterministic for a seed.
 */
public final class RoundPatternMaker {

    private static final int MOST_ROWS = 48;
    private static final int FEWEST_ROWS = 6;
    /** Calls drawn in all: keeps the work of long patterns small, which need fewer rows to be hard to guess. */
    private static final int CALLS_DRAWN = 8_000;
    /** How much less what helps a guesser is drawn, by calls that it is ahead; tried, no source. */
    private static final double CONTRARINESS = 1;

    private final PracticeGraph graph;
    private final RoundRequest request;
    private final List<PracticeLink> recoveries;
    private final List<PracticeLink> finishes;
    private final List<PracticeLink> opening;

    private RoundPatternMaker(PracticeGraph graph, RoundRequest request) {
        this.graph = graph;
        this.request = request;
        this.recoveries = request.recoveries().stream().map(graph::link).toList();
        this.opening = request.opening().stream().map(graph::link).toList();
        this.finishes = request.finishes().stream().map(graph::link).toList();
    }

    /**
     * The pattern for {@code request}.
     *
     * @throws app.narrowgate.core.check.RefusedException when a link cannot be practised
     */
    public static RoundPattern make(PracticeGraph graph, RoundRequest request) {
        RoundPatternMaker maker = new RoundPatternMaker(graph, request);
        RoundPattern best = null;
        int rows = Math.max(FEWEST_ROWS, Math.min(MOST_ROWS, CALLS_DRAWN / (request.turns() * request.most())));
        Random seeds = Lot.of(request.seed());
        for (int row = 0; row < rows; row++) {
            RoundPattern drawn = maker.new Drawing(Lot.of(seeds.nextLong())).draw();
            if (best == null || isBetter(drawn, best)) {
                best = drawn;
            }
        }
        return best;
    }

    private int calls() {
        return recoveries.size() + request.fakes();
    }

    private static boolean isBetter(RoundPattern one, RoundPattern other) {
        int fewer = Integer.compare(one.figures().resets(), other.figures().resets());
        return fewer < 0 || fewer == 0 && one.guessing().worst() < other.guessing().worst();
    }

    /** How often each of {@code kinds} comes in {@code total}, to within one; {@code from} says whose turn the rest begins at. */
    private static int[] quotas(int kinds, int total, int from) {
        int[] quotas = new int[kinds];
        Arrays.fill(quotas, total / kinds);
        for (int more = 0; more < total % kinds; more++) {
            quotas[(from + more) % kinds]++;
        }
        return quotas;
    }

    /** One walk, drawn. */
    private final class Drawing {
        private final Random random;
        private final List<RoundPattern.Turn> turns = new ArrayList<>();
        private final List<DrillStep> steps = new ArrayList<>();
        private final Map<Role, Guessers> guessers = new EnumMap<>(Role.class);
        private final Map<Role, int[]> left = new EnumMap<>(Role.class);
        private final Map<Role, int[]> finishesLeft = new EnumMap<>(Role.class);
        private final Map<Role, List<Integer>> lengths = new EnumMap<>(Role.class);
        private Place here;

        Drawing(Random random) {
            this.random = random;
            List<Integer> length = request.inAll().map(this::lengthsOf).orElseGet(this::balancedLengths);
            int total = length.stream().mapToInt(n -> n).sum();
            int all = calls();
            int from = random.nextInt(all);
            int finishFrom = finishes.isEmpty() ? 0 : random.nextInt(finishes.size());
            for (Role role : Role.values()) {
                guessers.put(role, new Guessers(all));
                // The second partner's odd ones begin where the first's end, so that both together are balanced too.
                left.put(role, quotas(all, total, from + role.ordinal() * (total % all)));
                if (!finishes.isEmpty()) {
                    finishesLeft.put(role, quotas(finishes.size(), request.turns(),
                            finishFrom + role.ordinal() * (request.turns() % finishes.size())));
                }
                List<Integer> order = new ArrayList<>(length);
                Collections.shuffle(order, random);
                lengths.put(role, order);
            }
        }

        /** Each length of a turn equally often, to within one. */
        private List<Integer> balancedLengths() {
            int kinds = request.most() - request.least() + 1;
            int[] ofLength = quotas(kinds, request.turns(), random.nextInt(kinds));
            List<Integer> lengths = new ArrayList<>();
            IntStream.range(0, kinds).forEach(k -> lengths.addAll(Collections.nCopies(ofLength[k], request.least() + k)));
            return lengths;
        }

        /** Lengths that make up so many recoveries, by lot. */
        private List<Integer> lengthsOf(int inAll) {
            List<Integer> lengths = new ArrayList<>(Collections.nCopies(request.turns(), request.least()));
            for (int more = inAll - request.least() * request.turns(); more > 0;) {
                int turn = random.nextInt(lengths.size());
                if (lengths.get(turn) < request.most()) {
                    lengths.set(turn, lengths.get(turn) + 1);
                    more--;
                }
            }
            return lengths;
        }

        RoundPattern draw() {
            for (int turn = 0; turn < request.turns(); turn++) {
                for (Role role : Role.values()) {
                    turn(role, lengths.get(role).get(turn));
                }
            }
            return new RoundPattern(turns, steps,
                    guessers.get(Role.FIRST).rates().or(guessers.get(Role.SECOND).rates()));
        }

        private void turn(Role role, int length) {
            List<Integer> called = new ArrayList<>();
            opening.forEach(link -> practise(link, role));
            for (int call = 0; call < length; call++) {
                int next = nextCall(role, call == length - 1);
                left.get(role)[next]--;
                guessers.get(role).sees(next);
                called.add(next);
                if (next < recoveries.size()) {
                    practise(recoveries.get(next), role);
                } else {
                    fake(next - recoveries.size(), role);
                }
            }
            Optional<PracticeLink> finish = finishes.isEmpty() ? Optional.empty() : Optional.of(nextFinish(role));
            finish.ifPresent(link -> practise(link, role));
            turns.add(new RoundPattern.Turn(role, called, finish.map(PracticeLink::ref)));
        }

        private int nextCall(Role role, boolean isLast) {
            int[] quota = left.get(role);
            double[] weight = new double[quota.length];
            for (int strict = 0; strict < 3; strict++) {
                for (int call = 0; call < quota.length; call++) {
                    boolean fits = call < recoveries.size() ? fits(recoveries.get(call), role, isLast, strict)
                            : here != null && (strict > 1 || !isLast);
                    weight[call] = fits ? quota[call] * Math.exp(-CONTRARINESS * guessers.get(role).helped(call))
                            : 0;
                }
                if (Arrays.stream(weight).sum() > 0) {
                    break;
                }
            }
            return Lot.drawn(random, weight);
        }

        private boolean fits(PracticeLink link, Role role, boolean isLast, int strict) {
            return (strict > 1 || isNear(link.start(), role))
                    && (strict > 0 || !isLast || finishes.isEmpty() || canFinishFrom(role, link.landing()));
        }

        private PracticeLink nextFinish(Role role) {
            int[] quota = finishesLeft.get(role);
            double[] weight = new double[quota.length];
            for (int strict = 0; strict < 2; strict++) {
                for (int f = 0; f < quota.length; f++) {
                    weight[f] = strict > 0 || isNear(finishes.get(f).start(), role) ? quota[f] : 0;
                }
                if (Arrays.stream(weight).sum() > 0) {
                    break;
                }
            }
            int next = Lot.drawn(random, weight);
            quota[next]--;
            return finishes.get(next);
        }

        private boolean canFinishFrom(Role role, Id landing) {
            return IntStream.range(0, finishes.size()).anyMatch(f -> finishesLeft.get(role)[f] > 0
                    && (finishes.get(f).start().equals(landing) || graph.feeds(landing).contains(finishes.get(f).start())));
        }

        /** True where the next link can begin without getting up. */
        private boolean isNear(Id start, Role role) {
            return here == null || graph.onward(here, new Place(start, role)).stream().noneMatch(s -> s.kind() == DrillStep.Kind.RESET);
        }

        /** Begun and taken back where they are; first the pair is brought there, if the roles have changed. */
        private void fake(int which, Role role) {
            if (here.bottom() != role) {
                Place to = graph.then(here.at()).map(then -> new Place(then, role)).orElse(new Place(recoveries.get(0).start(), role));
                steps.addAll(graph.onward(here, to));
                here = to;
            }
            steps.add(DrillStep.faking(which, here, graph.times().feed()));
        }

        private void practise(PracticeLink link, Role role) {
            DrillStep step = DrillStep.practising(link, role);
            if (here != null) {
                steps.addAll(graph.onward(here, step.from()));
            }
            steps.add(step);
            here = step.to();
        }
    }
}
