package app.narrowgate.core.review;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.advice.Sensitivities;
import app.narrowgate.core.gate.GateSweep;
import app.narrowgate.core.gate.NarrowGates;
import app.narrowgate.core.map.Family;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Movement;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Segment;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Conditions;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.ReactionOdds;
import app.narrowgate.core.odds.ResponseOdds;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SituationOdds;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Looks for every kind of {@link Finding} in a solved map.
 *
 * <p>Gains are the first-order change of the starts' worth if the place were worth what the aim gives a guard; they are
 * upper estimates, not promises. A family without an early answer counts those who start a round in it. A mixed message
 * gains what the better of its principle's stances would bring if the house took it, which is solved for. What is at
 * stake is solved for without the reaction. Cost: one solve a stance that clashes, and a sweep of the gates.
 */
public final class MapReview {

    /** Half a start in a hundred. */
    private static final double WORTH_SAYING = 5e-3;

    private final SolvedMap solved;
    private final MapIndex index;
    private final Setting setting;
    private final Odds odds;
    private final Conditions conditions;
    private final Map<Id, Double> visits;
    private final Map<Id, Double> tried = new HashMap<>();
    private final Map<Id, Double> lostWithout = new HashMap<>();
    private final Map<Id, Double> gainedByAStance = new HashMap<>();
    private final Landings landings;
    private final List<Finding> findings = new ArrayList<>();

    private MapReview(SolvedMap solved) {
        this.solved = solved;
        this.index = solved.index();
        this.setting = solved.setting();
        this.odds = OddsSolver.of(solved);
        this.conditions = solved.conditions();
        this.landings = new Landings(solved);
        Sensitivities slopes = AdjointSensitivity.of(solved);
        this.visits = slopes.visits();
        slopes.reactions().forEach(r -> tried.put(r.reaction(), r.visits()));
    }

    /** Every finding, those that cost most first, then in the map's order. */
    public static List<Finding> of(SolvedMap solved) {
        return of(solved, GateSweep.sweep(solved));
    }

    /**
     * The same for whoever has swept the gates of {@code solved} already; all but a solve for each stance that clashes.
     */
    public static List<Finding> of(SolvedMap solved, NarrowGates gates) {
        MapReview review = new MapReview(solved);
        review.look(gates);
        review.findings.sort(Finding.BY_COST);
        return List.copyOf(review.findings);
    }

    /** Only the responses that nobody has answered, the costliest first; much quicker than the whole review. */
    public static List<Finding> unanswered(SolvedMap solved) {
        MapReview review = new MapReview(solved);
        MapIndex index = solved.index();
        index.map().reactions().forEach(reaction ->
                review.unanswered(index.situation(reaction.from()).orElseThrow(), reaction));
        review.findings.sort(Finding.BY_COST);
        return List.copyOf(review.findings);
    }

    private void look(NarrowGates gates) {
        gates.gates().forEach(gate -> lostWithout.put(gate.reaction(), gate.lost()));
        index.map().situations().forEach(this::situation);
        index.map().reactions().forEach(this::reaction);
        index.map().families().forEach(this::family);
        index.map().techniques().forEach(this::technique);
        endlessLoops();
        overload(gates);
        findings.addAll(TeachingGaps.of(index, conditions));
    }

    private void add(Finding.Kind kind, Id place, String reason, String mend) {
        add(kind, place, reason, mend, OptionalDouble.empty());
    }

    private void add(Finding.Kind kind, Id place, String reason, String mend, OptionalDouble gain) {
        findings.add(new Finding(kind, place, Optional.empty(), reason, mend, gain, OptionalDouble.empty()));
    }

    /** A finding about one reaction, which may fail. */
    private void addAtStake(Finding.Kind kind, Id place, Reaction reaction, String reason, String mend) {
        Double lost = lostWithout.get(reaction.id());
        OptionalDouble stake = lost == null ? OptionalDouble.empty() : OptionalDouble.of(Math.max(0, lost));
        findings.add(new Finding(kind, place, Optional.empty(), reason, mend, OptionalDouble.empty(), stake));
    }

    private void situation(Situation situation) {
        List<Reaction> usable = conditions.usable(situation);
        if (usable.isEmpty() && situation.rest().isEmpty()) {
            add(Finding.Kind.DEAD_END, situation.id(), "Nothing that is taught works from here; you wait for the clock.",
                    "Teach one answer that starts with what is free.", gain(situation, landings.guard()));
        }
        if (usable.size() == 1 && situation.rest().isEmpty() && situation.notes().oneAnswer().isEmpty()) {
            addAtStake(Finding.Kind.SINGLE_ROUTE, situation.id(), usable.get(0),
                    "There is one way out; a partner who has seen it twice waits for it.",
                    "Add a second answer that threatens the other side.");
        }
        if (situation.entry() == 0 && !isReached(situation.id())) {
            add(Finding.Kind.UNREACHABLE, situation.id(), "Nothing on the map leads here and nobody starts here.",
                    "Say what leads here, give it an entry weight, or take it out.");
        }
        mixedMessages(situation, usable);
    }

    private boolean isReached(Id id) {
        return index.map().situations().stream().anyMatch(s -> !s.id().equals(id)
                        && s.clock().filter(clock -> clock.becomes().equals(id)).isPresent())
                || index.map().reactions().stream().anyMatch(r -> !r.from().equals(id)
                        && (r.stuffed().filter(id::equals).isPresent()
                                || r.responses().stream().anyMatch(a -> a.leads().filter(id::equals).isPresent())));
    }

    private void mixedMessages(Situation situation, List<Reaction> usable) {
        for (int i = 0; i < usable.size(); i++) {
            for (int j = i + 1; j < usable.size(); j++) {
                Optional<StanceRef> one = technique(usable.get(i)).stance();
                Optional<StanceRef> other = technique(usable.get(j)).stance();
                if (one.isPresent() && other.isPresent() && one.get().principle().equals(other.get().principle())
                        && !one.get().stance().equals(other.get().stance())
                        && !separated(usable.get(i), usable.get(j))) {
                    add(Finding.Kind.MIXED_MESSAGE, situation.id(),
                            "“%s” and “%s” take opposite stances here and nothing says when which."
                                    .formatted(index.reactionTitle(usable.get(i)), index.reactionTitle(usable.get(j))),
                            "Choose a stance for the house, or give one of them a need that the other excludes.",
                            gainOfAStance(one.get().principle()));
                }
            }
        }
    }

    /** If the house took the better stance everywhere: the other's answers go, and with them the time to choose. */
    private OptionalDouble gainOfAStance(Id principle) {
        return OptionalDouble.of(gainedByAStance.computeIfAbsent(principle, id -> index.map().principles().stream()
                .filter(p -> p.id().equals(id)).flatMap(p -> p.stances().stream()).mapToDouble(stance -> {
                    Map<Id, Id> taken = new HashMap<>(setting.stances());
                    taken.put(id, stance.id());
                    return solved.under(setting.withStances(taken)).startWorth() - odds.start();
                }).reduce(0, Math::max)));
    }

    static boolean separated(Reaction one, Reaction other) {
        return one.needs().entrySet().stream()
                .anyMatch(need -> other.needs().containsKey(need.getKey())
                        && !other.needs().get(need.getKey()).equals(need.getValue()));
    }

    private void reaction(Reaction reaction) {
        Situation situation = index.situation(reaction.from()).orElseThrow();
        boolean usable = conditions.closings(situation, reaction).isEmpty();
        if (reaction.responses().isEmpty()) {
            add(Finding.Kind.NO_RESPONSE, reaction.id(),
                    "Nobody has said what they do about it, so it counts as stuffed every time.",
                    "Add the commonest answer and where it lands.", gainOnceAnswered(situation, reaction));
        }
        unanswered(situation, reaction);
        if (!reaction.isWrong()) {
            heldLimb(situation, reaction);
        }
        if (usable && setting.matchup().age() == AgeGroup.CHILDREN && endsInSubmission(reaction)) {
            addAtStake(Finding.Kind.FORBIDDEN_FINISH, reaction.id(), reaction,
                    "It ends in a submission of your own, and these are children.",
                    "Let it end in a hold, or mark the technique as not for children.");
        }
    }

    private void unanswered(Situation situation, Reaction reaction) {
        for (Response response : reaction.responses()) {
            if (response.leads().isEmpty()) {
                findings.add(new Finding(Finding.Kind.UNANSWERED_RESPONSE, reaction.id(), Optional.of(response.id()),
                        "When they do this, you have no answer; it counts as stuffed.",
                        "Say where it leads, or what you do then.", gain(situation, reaction, response),
                        OptionalDouble.empty()));
            }
        }
    }

    private boolean endsInSubmission(Reaction reaction) {
        return reaction.responses().stream().flatMap(r -> r.leads().stream())
                .flatMap(place -> index.outcome(place).stream()).map(Outcome::kind)
                .anyMatch(PlaceKind.COUNTER::equals);
    }

    /** If the situation were worth that. */
    private OptionalDouble gain(Situation situation, double worth) {
        return OptionalDouble.of(Math.max(0,
                visits.getOrDefault(situation.id(), 0.0) * (worth - odds.at(situation.id()).worth())));
    }

    /** If the reaction reached a guard whenever it gets going; it counts where it would then be the best choice. */
    private OptionalDouble gainOnceAnswered(Situation situation, Reaction reaction) {
        return odds.at(situation.id()).reactions().stream()
                .filter(r -> r.reaction().equals(reaction.id()) && r.usable()).findFirst()
                .map(r -> gain(situation, onceAnswered(situation, reaction, r.inTime(), r.worth())))
                .orElse(OptionalDouble.of(0));
    }

    /** Without an answer of theirs it is stuffed each time; one that is stuffed where it began is tried again. */
    private double onceAnswered(Situation situation, Reaction reaction, double inTime, double silent) {
        double goes = inTime * conditions.works(reaction);
        if (goes <= 0) {
            return silent;
        }
        double stuffed = landings.worth(reaction.whenStuffed());
        double tooLate = silent - inTime * stuffed;
        return reaction.whenStuffed().equals(situation.id())
                ? (goes * landings.guard() + tooLate) / (1 - (inTime - goes))
                : goes * landings.guard() + (inTime - goes) * stuffed + tooLate;
    }

    private OptionalDouble gain(Situation situation, Reaction reaction, Response response) {
        SituationOdds at = odds.at(situation.id());
        Optional<ReactionOdds> solved = at.reactions().stream()
                .filter(r -> r.reaction().equals(reaction.id())).findFirst();
        if (solved.isEmpty() || !tried.containsKey(reaction.id())) {
            return OptionalDouble.of(0);
        }
        ResponseOdds answer = solved.get().responses().stream()
                .filter(r -> r.response().equals(response.id())).findFirst().orElseThrow();
        double share = solved.get().inTime() * solved.get().works() * setting.read().habit() * answer.chance();
        return OptionalDouble.of(Math.max(0, tried.get(reaction.id()) * share * (landings.guard() - answer.worth())));
    }

    private void heldLimb(Situation situation, Reaction reaction) {
        for (Id id : technique(reaction).movements()) {
            Optional<Movement> movement = index.map().movements().stream().filter(m -> m.id().equals(id)).findFirst();
            Set<Segment> uses = movement.map(Movement::uses).orElse(Set.of());
            if (!uses.isEmpty() && situation.held().keySet().containsAll(uses)) {
                addAtStake(Finding.Kind.HELD_LIMB, reaction.id(), reaction,
                        "“%s” needs a limb that the situation says is held.".formatted(movement.orElseThrow().title()),
                        "Free the limb first, choose another answer, or correct what is held.");
                return;
            }
        }
    }

    private void family(Family family) {
        List<Situation> members = index.map().situations().stream()
                .filter(s -> s.family().equals(family.id())).toList();
        boolean gripped = members.stream().anyMatch(s -> s.isAt(Stage.SETTLED) || s.isAt(Stage.LAST_CHANCE));
        // A place to rest in is before whatever is begun from it.
        boolean early = members.stream()
                .anyMatch(s -> (s.isAt(Stage.EARLY) || s.rest().isPresent()) && !conditions.usable(s).isEmpty());
        if (gripped && !early) {
            add(Finding.Kind.NO_EARLY_ANSWER, family.id(),
                    "Prevention beats every escape, and nothing is taught here before the hold is on.",
                    "Add the moment before, and what to do in it.", gainFromEarly(members));
        }
    }

    /** If those who start a round in the family were out at once. */
    private OptionalDouble gainFromEarly(List<Situation> family) {
        double starts = index.map().situations().stream().mapToDouble(Situation::entry).sum();
        double gain = family.stream().filter(s -> s.entry() > 0)
                .mapToDouble(s -> s.entry() / starts * Math.max(0, landings.guard() - odds.at(s.id()).worth())).sum();
        return OptionalDouble.of(gain);
    }

    private void technique(Technique technique) {
        Set<Injury> risks = risks(index, technique);
        if (technique.cautions().isEmpty() && !risks.isEmpty()) {
            add(Finding.Kind.MISSING_CAUTION, technique.id(),
                    "It works on the %s and no caution stands beside it.".formatted(risks.stream()
                            .map(risk -> risk.code().replace('-', ' ')).collect(Collectors.joining(" and the "))),
                    "Write what the feeder and the bottom player must look after.");
        }
    }

    /** What a technique can hurt, by itself or by its movements. */
    static Set<Injury> risks(MapIndex index, Technique technique) {
        Set<Injury> risks = EnumSet.noneOf(Injury.class);
        risks.addAll(technique.avoidWith());
        technique.movements().forEach(id -> index.part(PartKind.MOVEMENTS, id).ifPresent(m -> risks.addAll(m.risks())));
        return risks;
    }

    /** The largest set of situations in which, whatever you choose, they can answer so that you stay in it. */
    private void endlessLoops() {
        Set<Id> held = new LinkedHashSet<>();
        index.map().situations().stream().filter(s -> s.rest().isEmpty() && !conditions.usable(s).isEmpty())
                .forEach(s -> held.add(s.id()));
        boolean changed = true;
        while (changed) {
            changed = held.removeIf(id -> !canHold(index.situation(id).orElseThrow(), held));
        }
        // One way out serves all who go round, so each place brings at most what all of them together would.
        double most = held.stream().mapToDouble(id -> gain(index.situation(id).orElseThrow(), landings.guard()).orElse(0)).sum();
        held.forEach(id -> add(Finding.Kind.ENDLESS_LOOP, id,
                "A partner who reads you can keep you going round here for ever.",
                "Add an answer whose every response ends somewhere else, or say what they do next on their own.",
                OptionalDouble.of(Math.min(most, landings.guard()))));
    }

    private boolean canHold(Situation situation, Set<Id> held) {
        return situation.clock().map(clock -> held.contains(clock.becomes())).orElse(true)
                && conditions.usable(situation).stream().allMatch(reaction -> canHold(reaction, held));
    }

    private boolean canHold(Reaction reaction, Set<Id> held) {
        boolean stuffed = held.contains(reaction.whenStuffed());
        double works = reaction.responses().isEmpty() ? 0 : conditions.works(reaction);
        boolean answered = reaction.responses().stream()
                .anyMatch(r -> r.leads().map(held::contains).orElse(stuffed));
        return (works <= 0 || answered) && (works >= 1 || stuffed);
    }

    private void overload(NarrowGates gates) {
        for (NarrowGates.Gate gate : gates.trims()) {
            if (gate.trimGain() > WORTH_SAYING) {
                add(Finding.Kind.OVERLOAD, gate.reaction(),
                        "One answer too many: choosing costs more time than this one brings.",
                        "Leave it out for this level, or make it faster.", OptionalDouble.of(Math.max(0, -gate.lost())));
            }
        }
    }

    private Technique technique(Reaction reaction) {
        return index.technique(reaction.technique()).orElseThrow();
    }
}
