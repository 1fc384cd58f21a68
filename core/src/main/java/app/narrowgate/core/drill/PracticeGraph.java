package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Bearing;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A map as something to practise: which links there are, and how a pair gets from where one lands to where another
 * starts without getting up. Where the map does not say what can be begun from a place of rest, or where a reversal
 * leaves the other one, sensible ones are taken by kind. Cheap to make; asks the map each time.
 */
public final class PracticeGraph {

    /** From a guard of which nothing is said, so many of the commonest early places are fed. */
    private static final int FED_AT_MOST = 4;

    private final SolvedMap solved;
    private final MapIndex index;
    private final HouseTimes times;

    private PracticeGraph(SolvedMap solved, HouseTimes times) {
        this.solved = solved;
        this.index = solved.index();
        this.times = times;
    }

    /** Practice on {@code solved}'s map, for the pair of its setting. */
    public static PracticeGraph of(SolvedMap solved, HouseTimes times) {
        return new PracticeGraph(solved, times);
    }

    /** What the steps cost. */
    public HouseTimes times() {
        return times;
    }

    /** What it was made from. */
    public SolvedMap solved() {
        return solved;
    }

    /**
     * A link of the map, ready to be practised.
     *
     * @throws RefusedException when the map has no such link, nobody has answered it, it is a mistake, or it would make
     *     somebody close a finish on a child
     */
    public PracticeLink link(LinkRef ref) {
        DrillRules.fault(index, ref).ifPresent(fault -> {
            throw new RefusedException(fault);
        });
        Reaction reaction = index.reaction(ref.reaction()).orElseThrow();
        Id landing = reaction.response(ref.response()).flatMap(Response::leads).orElseThrow();
        if (closesOnAChild(reaction.from()) || closesOnAChild(landing)) {
            throw new RefusedException("“%s”: nobody closes a finish on a child. What is taught there is: tap."
                    .formatted(index.placeTitle(isClosing(index, landing) ? landing : reaction.from())));
        }
        return new PracticeLink(ref, reaction.from(), landing, solved.takes(reaction) + times.responding());
    }

    /** Every link from {@code situation} that the pair may practise, the best answer's first, the likeliest first. */
    public List<PracticeLink> linksFrom(Id situation) {
        if (closesOnAChild(situation)) {
            return List.of();
        }
        Situation place = index.situation(situation)
                .orElseThrow(() -> new RefusedException("No situation is called “%s”.".formatted(situation)));
        return solved.conditions().usable(place).stream()
                .sorted(Comparator.comparingDouble(this::worth).reversed())
                .flatMap(reaction -> reaction.responses().stream()
                        .filter(response -> response.leads().filter(to -> !closesOnAChild(to)).isPresent())
                        .sorted(Comparator.comparingDouble((Response r) -> solved.conditions().weight(reaction, r)).reversed())
                        .map(response -> link(new LinkRef(reaction.id(), response.id()))))
                .toList();
    }

    /** Worth in [0,1] of choosing {@code reaction}; 0 where the setting closes it. */
    public double worth(Reaction reaction) {
        return solved.branches(reaction).stream().mapToDouble(b -> b.share() * solved.worth(b.landing())).sum();
    }

    /** Worth in [0,1] of giving {@code technique} in {@code situation}: what waiting is where it is not taught or closed. */
    double worthOf(Situation situation, Id technique) {
        return index.reactionsFrom(situation.id()).stream()
                .filter(r -> r.technique().equals(technique) && solved.option(r).isPresent())
                .mapToDouble(this::worth).max().orElseGet(() -> waiting(situation));
    }

    /** Worth in [0,1] of doing nothing that is taught in {@code situation}: resting there, or what the clock makes of it. */
    private double waiting(Situation situation) {
        int s = solved.place(situation.id());
        double rest = solved.game().rests[s] ? solved.game().worth[s] : 0;
        return situation.clock().map(clock -> Math.max(rest, solved.worth(clock.becomes()))).orElse(rest);
    }

    /** What the top player may begin from {@code place}; empty where nobody rests. */
    public List<Id> feeds(Id place) {
        return index.situation(place).map(this::feeds).orElse(List.of());
    }

    private List<Id> feeds(Situation situation) {
        if (!situation.feeds().isEmpty() || situation.rest().isEmpty()) {
            return situation.feeds();
        }
        return switch (situation.rest().get()) {
            case GUARD, STANDING, NEUTRAL -> index.map().situations().stream()
                    .filter(s -> s.isAt(Stage.EARLY) && s.entry() > 0 && !s.id().equals(situation.id()))
                    .filter(s -> s.bearing().isEmpty() || s.bearing().get() == Bearing.IN_FRONT)
                    .sorted(Comparator.comparingDouble(Situation::entry).reversed())
                    .limit(FED_AT_MOST).map(Situation::id).toList();
            case HALF, TURTLE -> situation.clock().map(Clock::becomes).filter(id -> index.situation(id).isPresent()).stream().toList();
            case REVERSAL, COUNTER, TAP -> List.of();
        };
    }

    /** Where the other one is on the bottom after a reversal ended at {@code place}; empty where nothing turned. */
    public Optional<Id> then(Id place) {
        return index.outcome(place).flatMap(this::then);
    }

    private Optional<Id> then(Outcome outcome) {
        if (outcome.then().isPresent() || outcome.kind() != PlaceKind.REVERSAL) {
            return outcome.then();
        }
        List<Situation> all = index.map().situations();
        return all.stream().filter(s -> s.rest().equals(Optional.of(PlaceKind.GUARD))).findFirst()
                .or(() -> all.stream().filter(s -> s.isAt(Stage.EARLY)).max(Comparator.comparingDouble(Situation::entry)))
                .map(Situation::id);
    }

    /**
     * The way from one place to another in which nothing is practised: none where they are the same, a swap, a feed, a
     * swap and a feed, or else a reset.
     */
    public List<DrillStep> onward(Place from, Place to) {
        if (from.equals(to)) {
            return List.of();
        }
        if (from.bottom() != to.bottom()) {
            Optional<Place> turned = then(from.at()).map(then -> new Place(then, to.bottom()));
            if (turned.isPresent()) {
                DrillStep swap = DrillStep.between(DrillStep.Kind.SWAP, from, turned.get(), times.swap());
                if (turned.get().equals(to)) {
                    return List.of(swap);
                }
                if (feeds(turned.get().at()).contains(to.at())) {
                    return List.of(swap, DrillStep.between(DrillStep.Kind.FEED, turned.get(), to, times.feed()));
                }
            }
        } else if (feeds(from.at()).contains(to.at())) {
            return List.of(DrillStep.between(DrillStep.Kind.FEED, from, to, times.feed()));
        }
        return List.of(DrillStep.between(DrillStep.Kind.RESET, from, to, times.reset()));
    }

    /**
     * Nothing, where a drill may begin in {@code place}.
     *
     * @throws RefusedException where a finish would be closed on a child there
     */
    void requireOpen(Id place) {
        if (closesOnAChild(place)) {
            throw new RefusedException("Nobody closes this on a child, so there is no drill of it. What is taught here is: tap. "
                    + "Drill the place before it.");
        }
    }

    /** True for a place where a finish would be closed on a child: the pair are children, and it is about to close, or has. */
    public boolean closesOnAChild(Id place) {
        return isForChildren() && isClosing(index, place);
    }

    /** True for a place where a finish is about to close, or has. */
    static boolean isClosing(MapIndex index, Id place) {
        return index.situation(place).filter(s -> s.isAt(Stage.LAST_CHANCE)).isPresent()
                && index.map().holds().stream().anyMatch(h -> h.kind() == Hold.Kind.FINISH && h.at().contains(place))
                || index.outcome(place).filter(o -> o.kind() == PlaceKind.TAP).isPresent();
    }

    /** True where the pair are children. */
    public boolean isForChildren() {
        return solved.setting().matchup().age() == AgeGroup.CHILDREN;
    }
}
