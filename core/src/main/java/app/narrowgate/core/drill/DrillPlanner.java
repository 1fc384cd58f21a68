package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Turns a drill into the steps of one pair: what the pair may not do is replaced, a level is given as much as it can
 * carry, and the minutes asked for are filled. What did not fit is told. Deterministic for the drill's seed.
 */
public final class DrillPlanner {

    /** Seconds of a round that is left to the pair, longer of one that ends in a talk; the project's own estimates, no source. */
    static final double ROUND = 60;
    static final double LIVE_ROUND = 120;
    /** Lengths tried until a turn of calls takes the time it has. */
    private static final int ATTEMPTS = 4;

    private final PracticeGraph graph;
    private final SolvedMap solved;
    private final MapIndex index;
    private final Level level;
    private final Drill asked;
    private final List<WhoMay.Verdict> verdicts = new ArrayList<>();

    private DrillPlanner(PracticeGraph graph, Drill drill) {
        this.graph = graph;
        this.solved = graph.solved();
        this.index = solved.index();
        this.level = solved.setting().matchup().level();
        this.asked = drill;
    }

    /**
     * The plan of {@code drill} for the pair of {@code graph}'s setting.
     *
     * @throws RefusedException when the map has no such place or link, nothing is left that the pair may practise, a finish would
     *     be closed on a child, or a dial be turned where one is about to close
     */
    public static DrillPlan plan(PracticeGraph graph, Drill drill) {
        return new DrillPlanner(graph, drill).plan();
    }

    private DrillPlan plan() {
        asked.place().ifPresent(this::requirePlace);
        Dial.fault(index, asked).ifPresent(fault -> {
            throw new RefusedException(fault);
        });
        return switch (asked.kind()) {
            case SOLO -> solo();
            case STAGED, DIAL, DISCOVERY, LIVE, GATE -> rounds();
            case UNTIL_OUT -> untilOut();
            case FIXED, STEP_LIMITED, CHAIN, CALLED, ROUND_PATTERN -> steps();
        };
    }

    private void requirePlace(Id place) {
        if (index.situation(place).isEmpty()) {
            throw new RefusedException("No situation is called “%s”.".formatted(place));
        }
        graph.requireOpen(place);
    }

    private double secondsASide() {
        return asked.minutes() * 60 / asked.sides().size();
    }

    private DrillPlan steps() {
        Drill drill = forThePair();
        List<DrillStep> walk;
        Optional<Guessing> guessing = Optional.empty();
        Optional<Double> bound = Optional.empty();
        double lostInRound = 0;
        if (drill.kind() == DrillKind.CHAIN) {
            Chain chain = ChainMaker.make(graph, new ChainRequest(drill.allLinks(), drill.repetitions(), drill.seed()));
            walk = chain.steps();
            bound = Optional.of(chain.bound());
            lostInRound = chain.figures().lost();
        } else if (drill.kind() == DrillKind.ROUND_PATTERN) {
            RoundPattern pattern = patternThatFills(drill);
            walk = pattern.steps();
            guessing = Optional.of(pattern.guessing());
        } else {
            walk = List.of();
        }
        List<DrillPlan.Stretch> stretches = new ArrayList<>();
        for (Side side : asked.sides()) {
            List<DrillStep> own = walk;
            if (walk.isEmpty()) {
                Halves halves = halves(drill, drill.seed() + stretches.size());
                own = halves.steps();
                guessing = halves.guessing();
            }
            // The other partner begins on the other side, so that what is cut off at the end is cut off for both.
            stretches.add(new DrillPlan.Stretch(side, filled(stretches.isEmpty() ? own : swapped(own))));
        }
        Set<LinkRef> reached = stretches.stream().flatMap(s -> s.steps().stream()).flatMap(s -> s.link().stream())
                .collect(Collectors.toSet());
        List<LinkRef> unreached = drill.allLinks().stream().filter(link -> !reached.contains(link)).toList();
        return new DrillPlan(stretches, List.of(), Optional.empty(), guessing, bound, lostInRound, changed(), unreached);
    }

    private List<WhoMay.Verdict> changed() {
        return verdicts.stream().filter(v -> !v.stays()).toList();
    }

    /** The drill with what this pair may not do replaced, and cut to what its level carries. */
    private Drill forThePair() {
        boolean knowsMore = level == Level.ADVANCED;
        List<LinkRef> opening = allowed(asked.opening());
        List<LinkRef> finishes = new ArrayList<>(allowed(asked.finishes()));
        if (knowsMore) {
            allowed(asked.extension()).stream().filter(link -> !finishes.contains(link)).forEach(finishes::add);
        }
        List<LinkRef> links = allowed(asked.links());
        int most = Ladder.mostLinks(level);
        List<LinkRef> few = links.subList(0, Math.min(most, links.size()));
        List<LinkRef> fewOpening = opening.subList(0, Math.min(most, opening.size()));
        List<LinkRef> fewFinishes = finishes.subList(0, Math.min(Math.max(1, most - few.size() + 1), finishes.size()));
        if (few.isEmpty()) {
            throw new RefusedException("Nothing of this drill is open for this pair; choose other links or another pair.");
        }
        return asked.with(fewOpening, few, fewFinishes);
    }

    private List<LinkRef> allowed(List<LinkRef> links) {
        List<WhoMay.Verdict> found = WhoMay.of(graph, links);
        verdicts.addAll(found);
        return found.stream().flatMap(v -> v.taken().stream()).toList();
    }

    /**
     * Turns and recoveries that take one side's time: first so many turns of middling length as go into it, then so many
     * recoveries as make up the rest.
     */
    private RoundPattern patternThatFills(Drill drill) {
        double recovery = drill.links().stream().mapToDouble(l -> graph.link(l).seconds() + graph.times().feed()).average().orElseThrow();
        double turn = drill.opening().stream().mapToDouble(l -> graph.link(l).seconds()).sum() + graph.times().swap()
                + drill.finishes().stream().mapToDouble(l -> graph.link(l).seconds()).average().orElse(graph.times().reset());
        double middling = (drill.least() + drill.most()) / 2.0;
        RoundPattern pattern = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            double pair = 2 * (turn + middling * recovery);
            int turns = (int) Math.max(1, Math.min(RoundRequest.TURNS.high(), Math.round(secondsASide() / pair)));
            int inAll = (int) Math.round((secondsASide() / 2 - turns * turn) / recovery);
            inAll = Math.max(drill.least() * turns, Math.min(drill.most() * turns, inAll));
            pattern = RoundPatternMaker.make(graph, new RoundRequest(drill.opening(), drill.links(), drill.finishes(),
                    drill.fakes().size(), drill.least(), drill.most(), turns, Optional.of(inAll), drill.seed()));
            double took = pattern.figures().seconds();
            if (Math.abs(took - secondsASide()) < recovery) {
                break;
            }
            double off = took / (2 * (turns * turn + inAll * recovery));
            turn *= off;
            recovery *= off;
        }
        return pattern;
    }

    private record Halves(List<DrillStep> steps, Optional<Guessing> guessing) {
    }

    /** First one partner's calls, then the other's, each for half of the side's time. */
    private Halves halves(Drill drill, long seed) {
        double half = secondsASide() / 2;
        List<DrillStep> all = new ArrayList<>();
        Optional<Guessing> guessing = Optional.empty();
        for (Role role : Role.values()) {
            List<DrillStep> own;
            if (drill.kind() == DrillKind.CALLED) {
                RoundPattern pattern = calls(drill, half, seed + 2L * role.ordinal());
                own = of(Role.FIRST, pattern.steps());
                guessing = Optional.of(guessing.map(g -> g.or(pattern.guessing())).orElse(pattern.guessing()));
            } else {
                own = blocked(drill, half);
            }
            List<DrillStep> his = role == Role.FIRST ? own : swapped(own);
            if (!all.isEmpty()) {
                all.addAll(graph.onward(all.get(all.size() - 1).to(), his.get(0).from()));
            }
            all.addAll(within(his, half));
        }
        return new Halves(all, guessing);
    }

    /** One turn of each partner that takes about {@code seconds}, so that next to nothing is cut off its balanced calls. */
    private RoundPattern calls(Drill drill, double seconds, long seed) {
        double each = drill.links().stream().mapToDouble(link -> graph.link(link).seconds() + graph.times().feed()).average().orElseThrow();
        RoundPattern pattern = null;
        for (int attempt = 0; attempt < ATTEMPTS; attempt++) {
            int length = (int) Math.max(1, Math.min(RoundRequest.RECOVERIES.high(), Math.round(seconds / each)));
            pattern = RoundPatternMaker.make(graph, new RoundRequest(List.of(), drill.links(), List.of(), drill.fakes().size(),
                    length, length, 1, Optional.empty(), seed));
            double took = DrillFigures.of(of(Role.FIRST, pattern.steps())).seconds();
            if (Math.abs(took - seconds) < took / length) {
                break;
            }
            each = took / length;
        }
        return pattern;
    }

    /** The steps in which {@code bottom} is below all along. */
    private static List<DrillStep> of(Role bottom, List<DrillStep> steps) {
        return steps.stream().filter(step -> step.from().bottom() == bottom && step.to().bottom() == bottom).toList();
    }

    /** One link after the other, each for its share of {@code seconds}. */
    private List<DrillStep> blocked(Drill drill, double seconds) {
        List<DrillStep> steps = new ArrayList<>();
        double until = 0;
        for (LinkRef ref : drill.links()) {
            DrillStep step = DrillStep.practising(graph.link(ref), Role.FIRST);
            until += seconds / drill.links().size();
            do {
                if (!steps.isEmpty()) {
                    steps.addAll(graph.onward(steps.get(steps.size() - 1).to(), step.from()));
                }
                steps.add(step);
            } while (DrillFigures.of(steps).seconds() < until);
        }
        return steps;
    }

    /** {@code walk} gone round until a side's time is up. */
    private List<DrillStep> filled(List<DrillStep> walk) {
        List<DrillStep> steps = new ArrayList<>(walk);
        double seconds = DrillFigures.of(steps).seconds();
        double once = seconds;
        while (seconds < secondsASide() && once > 0) {
            steps.addAll(graph.onward(steps.get(steps.size() - 1).to(), walk.get(0).from()));
            steps.addAll(walk);
            seconds += once;
        }
        return within(steps, secondsASide());
    }

    /** The beginning of {@code steps} that ends nearest to {@code seconds}, with a step that is practice; never empty. */
    private static List<DrillStep> within(List<DrillStep> steps, double seconds) {
        double time = 0;
        double nearest = Double.POSITIVE_INFINITY;
        int end = 1;
        for (int at = 0; at < steps.size(); at++) {
            time += steps.get(at).seconds();
            if (steps.get(at).isWork() && Math.abs(time - seconds) < nearest) {
                nearest = Math.abs(time - seconds);
                end = at + 1;
            }
        }
        return steps.subList(0, end);
    }

    private static List<DrillStep> swapped(List<DrillStep> steps) {
        return steps.stream().map(DrillStep::swapped).toList();
    }

    private DrillPlan untilOut() {
        Situation start = index.situation(asked.place().orElseThrow()).orElseThrow();
        Set<Id> bad = index.map().situations().stream()
                .filter(s -> s.family().equals(start.family()) && s.rest().isEmpty()).map(Situation::id).collect(Collectors.toSet());
        bad.add(start.id());
        List<DrillPlan.Stretch> stretches = new ArrayList<>();
        for (Side side : asked.sides()) {
            List<DrillStep> own = UntilOut.steps(graph, start.id(), bad, secondsASide(), asked.seed() + stretches.size());
            if (own.stream().noneMatch(DrillStep::isWork)) {
                throw new RefusedException("Nothing is taught from “%s” for this pair; there is nothing to go on with."
                        .formatted(start.title()));
            }
            stretches.add(new DrillPlan.Stretch(side, within(stretches.isEmpty() ? own : swapped(own), secondsASide())));
        }
        return new DrillPlan(stretches, List.of(), Optional.empty(), Optional.empty(), Optional.empty(), 0, List.of(), List.of());
    }

    private DrillPlan rounds() {
        List<Id> places = switch (asked.kind()) {
            case STAGED -> stages(asked.place().orElseThrow());
            case GATE -> asked.allLinks().stream().map(link -> graph.link(link).start()).distinct().toList();
            default -> List.of(asked.place().orElseThrow());
        };
        double wanted = asked.kind() == DrillKind.LIVE ? LIVE_ROUND : ROUND;
        int stations = places.size() * 2 * asked.sides().size();
        int times = (int) Math.max(1, Math.round(asked.minutes() * 60 / (wanted * stations)));
        double each = asked.minutes() * 60 / (stations * times);
        List<DrillPlan.TimedRound> rounds = new ArrayList<>();
        for (Side side : asked.sides()) {
            for (Id place : places) {
                for (int time = 0; time < times; time++) {
                    for (Role role : Role.values()) {
                        rounds.add(new DrillPlan.TimedRound(side, role, place, each));
                    }
                }
            }
        }
        return new DrillPlan(List.of(), rounds, Optional.empty(), Optional.empty(), Optional.empty(), 0, List.of(), List.of());
    }

    /** The place and what the clock makes of it, stage by stage; for children without what closes. */
    private List<Id> stages(Id place) {
        Set<Id> line = new LinkedHashSet<>();
        Optional<Situation> next = index.situation(place);
        while (next.isPresent() && !graph.closesOnAChild(next.get().id()) && line.add(next.get().id())) {
            boolean last = next.get().isAt(Stage.LAST_CHANCE);
            next = last ? Optional.empty() : next.get().clock().map(Clock::becomes).flatMap(index::situation);
        }
        return List.copyOf(line);
    }

    private DrillPlan solo() {
        Set<Id> techniques = asked.links().stream().map(link -> index.reaction(link.reaction()).orElseThrow(
                () -> new RefusedException("No answer is called “%s”.".formatted(link.reaction()))).technique())
                .filter(id -> index.technique(id).map(Technique::children).orElse(false) || !graph.isForChildren())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        SoloPlan plan = techniques.isEmpty() ? SoloPlanner.behindShare(solved, 0.8, asked.minutes(), asked.sides().get(0))
                : SoloPlanner.behind(solved, techniques, asked.minutes(), asked.sides().get(0));
        return new DrillPlan(List.of(), List.of(), Optional.of(plan), Optional.empty(), Optional.empty(), 0, List.of(), List.of());
    }
}
