package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.Branches;
import app.narrowgate.core.solve.Choice;
import app.narrowgate.core.solve.Game;
import app.narrowgate.core.solve.IntervalIterationSolver;
import app.narrowgate.core.solve.PartnerRead;
import app.narrowgate.core.solve.RoundChain;
import app.narrowgate.core.solve.Solution;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A map, compiled and solved once under one setting and one set of rates: what every question about it starts from.
 * Places are numbered as in {@link Game}: situations in the map's order, then outcomes.
 *
 * <p>Unchanged once made but for the chain of a round, which is made when first asked for; it may be shared among
 * threads. Memory: some hundred bytes a response.
 */
public final class SolvedMap {

    private final MapIndex index;
    private final Setting setting;
    private final Rates rates;
    private final Conditions conditions;
    private final Game game;
    private final Solution solution;
    private final Branches branches;
    private final Map<Id, Integer> places;
    private volatile RoundChain chain;

    private SolvedMap(MapIndex index, Conditions conditions, Rates rates, Game game, Map<Id, Integer> places) {
        this(index, conditions, rates, game, places, IntervalIterationSolver.solve(game));
    }

    private SolvedMap(MapIndex index, Conditions conditions, Rates rates, Game game, Map<Id, Integer> places, Solution solution) {
        this.index = index;
        this.setting = conditions.setting();
        this.rates = rates;
        this.conditions = conditions;
        this.game = game;
        this.solution = solution;
        this.branches = new Branches(game, solution.values());
        this.places = places;
    }

    /**
     * {@code index}'s map under {@code setting}, by the figures written on it. Precondition: the map has no
     * {@link app.narrowgate.core.map.MapRules} problems. Cost: that of {@link IntervalIterationSolver}.
     *
     * @throws RefusedException when the map has no such aim
     */
    public static SolvedMap of(MapIndex index, Setting setting) {
        return of(index, setting, Rates.WRITTEN);
    }

    /** The same by other figures. */
    public static SolvedMap of(MapIndex index, Setting setting, Rates rates) {
        Conditions conditions = Conditions.of(index, setting, rates);
        return new SolvedMap(index, conditions, rates, GameCompiler.compile(index, conditions), places(index.map()));
    }

    private static Map<Id, Integer> places(EscapeMap map) {
        Map<Id, Integer> places = new HashMap<>();
        map.situations().forEach(s -> places.put(s.id(), places.size()));
        map.outcomes().forEach(o -> places.put(o.id(), places.size()));
        return places;
    }

    /**
     * The same, for whoever concludes something from it.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    public SolvedMap converged() {
        if (!solution.converged()) {
            throw new NotConvergedException();
        }
        return this;
    }

    /**
     * The same map and figures under another setting, solved and converged.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    public SolvedMap under(Setting other) {
        return of(index, other, rates).converged();
    }

    /**
     * The same map and figures under another read, late start and thinking time, whether it converged or not. What closes the
     * reactions and shifts them is taken over; only what time changes is worked out anew. Cost: that of {@link
     * IntervalIterationSolver}, without compiling.
     *
     * @param late in seconds, as {@link Setting#LATE}
     */
    public SolvedMap retimed(PartnerRead read, double late, ThinkingTime thinking) {
        Conditions alike = conditions.retimed(setting.retimed(read, late, thinking));
        return new SolvedMap(index, alike, rates, GameCompiler.rated(this, alike), places);
    }

    /**
     * The same with these reactions taken away besides what the setting takes away already; solved and converged.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    public SolvedMap without(Set<Id> reactions) {
        Set<Id> all = new HashSet<>(setting.without());
        all.addAll(reactions);
        Conditions fewer = Conditions.of(index, setting.without(all), rates);
        return new SolvedMap(index, fewer, rates, GameCompiler.without(this, fewer), places).converged();
    }

    /**
     * The same map and setting by other figures; only what hangs on them is worked out anew. Cost: that of
     * {@link IntervalIterationSolver}, without compiling.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    public SolvedMap by(Rates others) {
        return by(others, IntervalIterationSolver.GAP);
    }

    /**
     * The same, no more exactly than to {@code gap}: for very many figures in a row, of which none is looked at closely.
     *
     * @throws NotConvergedException when the bounds did not meet
     */
    public SolvedMap by(Rates others, double gap) {
        Conditions same = conditions.by(others);
        Game rated = GameCompiler.rated(this, same);
        return new SolvedMap(index, same, others, rated, places, IntervalIterationSolver.solveWithin(rated, gap)).converged();
    }

    /** The map's index. */
    public MapIndex index() {
        return index;
    }

    /** The map. */
    public EscapeMap map() {
        return index.map();
    }

    /** What it was solved under. */
    public Setting setting() {
        return setting;
    }

    /** Where its figures come from. */
    public Rates rates() {
        return rates;
    }

    /** What the setting does to the map's reactions. */
    public Conditions conditions() {
        return conditions;
    }

    /** The aim it was solved for. */
    public Aim aim() {
        return index.aim(setting.aim()).orElseThrow();
    }

    /** The kind of end each place is, index place; null where nobody rests. */
    public PlaceKind[] kinds() {
        PlaceKind[] kinds = new PlaceKind[game.places];
        map().situations().forEach(s -> kinds[places.get(s.id())] = s.rest().orElse(null));
        map().outcomes().forEach(o -> kinds[places.get(o.id())] = o.kind());
        return kinds;
    }

    /** The game that was solved. */
    public Game game() {
        return game;
    }

    /** Its solution. */
    public Solution solution() {
        return solution;
    }

    /** The chain of a round with the best choices. */
    public RoundChain chain() {
        RoundChain made = chain;
        if (made == null) {
            made = RoundChain.of(game, solution);
            chain = made;
        }
        return made;
    }

    /** Share of students who start in each situation, index place; all 0 where nobody starts anywhere. */
    public double[] starts() {
        double[] starts = new double[game.places];
        double total = 0;
        for (int s = 0; s < game.situations; s++) {
            starts[s] = map().situations().get(s).entry();
            total += starts[s];
        }
        for (int s = 0; s < game.situations; s++) {
            starts[s] = total > 0 ? starts[s] / total : 0;
        }
        return starts;
    }

    /**
     * Where a round begins, index place: at the starts, or surely in one situation.
     *
     * @throws RefusedException when there is no such situation
     */
    public double[] startsAt(Optional<Id> from) {
        if (from.isEmpty()) {
            return starts();
        }
        double[] start = new double[game.places];
        start[situation(from.get())] = 1;
        return start;
    }

    /** Worth over the starts, weighted by how often students start there. */
    public double startWorth() {
        return startWorth(starts());
    }

    /** Worth over rounds that begin elsewhere, by the share that begins in each place, index place. */
    public double startWorth(double[] starts) {
        double worth = 0;
        for (int s = 0; s < game.situations; s++) {
            worth += starts[s] * solution.value(s);
        }
        return worth;
    }

    /** Worth in [0,1] of a place. */
    public double worth(Id place) {
        return solution.value(place(place));
    }

    /**
     * The number of a place.
     *
     * @throws RefusedException when there is none of that id
     */
    public int place(Id id) {
        Integer place = places.get(id);
        if (place == null) {
            throw new RefusedException("No place is called “%s”.".formatted(id));
        }
        return place;
    }

    private int situation(Id id) {
        Integer place = places.get(id);
        if (place == null || place >= game.situations) {
            throw new RefusedException("No situation is called “%s”.".formatted(id));
        }
        return place;
    }

    /** The id of a place by its number. */
    public Id placeId(int place) {
        return place < game.situations
                ? map().situations().get(place).id()
                : map().outcomes().get(place - game.situations).id();
    }

    /** The reaction behind an option that is not waiting. */
    public Reaction reaction(int option) {
        return map().reactions().get(game.optionReaction[option]);
    }

    /** The reaction to choose in situation {@code s}; empty where one rests, waits or is held. */
    public Optional<Reaction> best(int s) {
        return solution.choice(s) instanceof Choice.Try tried ? Optional.of(reaction(tried.option())) : Optional.empty();
    }

    /**
     * The reaction to choose in situation {@code s} and gain by it; empty where one rests, nothing gains anything, or what
     * would be chosen has not been given a response yet.
     */
    Optional<Id> taught(int s) {
        return solution.lower()[s] > 0 ? best(s).filter(r -> !r.responses().isEmpty()).map(Reaction::id) : Optional.empty();
    }

    /** The option of a usable reaction; empty where the setting closes it. */
    public Optional<Integer> option(Reaction reaction) {
        int s = situation(reaction.from());
        for (int o = game.optionStart[s]; o < game.optionStart[s + 1]; o++) {
            if (!game.waits(o) && reaction(o).id().equals(reaction.id())) {
                return Optional.of(o);
            }
        }
        return Optional.empty();
    }

    /** Seconds from the start of {@code reaction}'s situation until it is under way: late start, thinking, doing. */
    public double takes(Reaction reaction) {
        return takesAmong(reaction, conditions.usable(map().situations().get(situation(reaction.from()))).size());
    }

    private double takesAmong(Reaction reaction, int answers) {
        return setting.late() + setting.thinking().seconds(answers) + conditions.seconds(reaction);
    }

    /**
     * Chance in [0,1] that {@code reaction} would be in time if {@code answers} were taught where it is; 1 without a
     * clock.
     */
    public double inTimeAmong(Reaction reaction, int answers) {
        return InTime.chance(takesAmong(reaction, answers), clockSeconds(situation(reaction.from())));
    }

    /** Mean seconds of the clock of situation {@code s}; infinite where none runs. */
    public double clockSeconds(int s) {
        Optional<Clock> clock = map().situations().get(s).clock();
        return clock.map(conditions::seconds).orElse(Double.POSITIVE_INFINITY);
    }

    /**
     * Everything that can happen in {@code situation} when the best is chosen there, shares summing to 1; empty where
     * the round ends, or one is held with nothing to do. This is the one place that says so: flows, stories, breakdowns
     * and whatever else follows a round read it.
     *
     * @throws RefusedException when there is no such situation
     */
    public List<Branch> branches(Id situation) {
        int s = situation(situation);
        List<Branch> found = new ArrayList<>();
        branches.of(s, solution.choice(s), collect(best(s), found));
        return found;
    }

    /** Everything that can happen when {@code reaction} is chosen; empty where the setting closes it. */
    public List<Branch> branches(Reaction reaction) {
        List<Branch> found = new ArrayList<>();
        option(reaction).ifPresent(
                o -> branches.of(situation(reaction.from()), o, collect(Optional.of(reaction), found)));
        return found;
    }

    private Branches.Visitor collect(Optional<Reaction> reaction, List<Branch> into) {
        return (cause, response, landing, share) -> into.add(new Branch(Branch.Cause.valueOf(cause.name()),
                cause == Branches.Cause.RESPONSE ? reaction.map(r -> link(r, response)) : Optional.empty(),
                share, placeId(landing)));
    }

    private LinkRef link(Reaction reaction, int response) {
        int o = option(reaction).orElseThrow();
        return new LinkRef(reaction.id(), reaction.responses().get(response - game.responseStart[o]).id());
    }
}
