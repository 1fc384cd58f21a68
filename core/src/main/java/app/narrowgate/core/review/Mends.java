package app.narrowgate.core.review;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Fact;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.trait.Injury;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What can be done about a {@link Finding} in one step, without asking for anything that only a coach can know. A
 * finding that needs a new answer has no mend here. Cost linear in the map.
 */
public final class Mends {

    /** What stands beside a technique that can hurt something until the coach writes something better. */
    private static final Map<Injury, String> CAUTIONS = new EnumMap<>(Map.of(
            Injury.NECK, "Neck: no weight on it, and nobody pulls or cranks the head.",
            Injury.KNEE, "Knee: the feeder keeps the foot light; tap before it turns.",
            Injury.SHOULDER, "Shoulder: slowly at the end of the turn; tap before it pulls.",
            Injury.RIB, "Ribs: weight is added slowly, and the lighter one says how much.",
            Injury.ELBOW, "Elbow: no jerk against a straight arm; tap early.",
            Injury.WRIST, "Wrist: never leave a flat hand under their weight.",
            Injury.ANKLE, "Ankle: toes up, nothing crossed under load; tap before it turns.",
            Injury.LOWER_BACK, "Back: no twist under load; turn the hips with the shoulders."));

    private static final String LEAVE_OUT = "leave-out";
    private static final String WRITE_CAUTION = "write-caution";
    private static final String NOT_FOR_CHILDREN = "not-for-children";
    private static final String START_HERE = "start-here";
    private static final String TAKE_STANCE = "take-stance:";
    private static final String SEPARATE = "separate:";

    /** So many conditions are offered to tell two stances apart. */
    private static final int MOST_SEPARATIONS = 3;

    private Mends() {
    }

    /**
     * One thing that can be done.
     *
     * @param id names it among the mends of its finding
     * @param title what it does, as an instructor would say it
     */
    public record Mend(String id, String title) {
    }

    /** Everything that can be done about a finding, the plainest first; empty where only a coach can mend it. */
    public static List<Mend> of(MapIndex index, Finding finding) {
        return switch (finding.kind()) {
            case OVERLOAD -> List.of(new Mend(LEAVE_OUT, "Leave it out here"));
            case MISSING_CAUTION -> List.of(new Mend(WRITE_CAUTION, "Write the usual caution beside it"));
            case FORBIDDEN_FINISH -> List.of(new Mend(NOT_FOR_CHILDREN, "Mark it as not for children"));
            case UNREACHABLE -> List.of(new Mend(START_HERE, "Let some rounds start here"));
            case MIXED_MESSAGE -> mixed(index, finding);
            default -> List.of();
        };
    }

    private static List<Mend> mixed(MapIndex index, Finding finding) {
        Optional<Clash> found = clash(index, finding.place());
        if (found.isEmpty()) {
            return List.of();
        }
        Clash clash = found.get();
        List<Mend> mends = new ArrayList<>();
        for (Principle.Stance stance : clash.principle().stances()) {
            mends.add(new Mend(TAKE_STANCE + stance.id(), "The house takes: " + stance.title()));
        }
        Situation situation = index.situation(finding.place()).orElseThrow();
        for (Separation separation : separations(index, clash, situation)) {
            Reaction wanting = separation.wanting();
            mends.add(new Mend(SEPARATE + wanting.id() + ":" + separation.fact().id(),
                    "“%s” only when: %s".formatted(index.reactionTitle(wanting), separation.fact().title())));
        }
        return mends;
    }

    private record Clash(Principle principle, Reaction one, Reaction other) {
    }

    /**
     * A condition that tells two stances apart.
     *
     * @param fact what has to hold
     * @param wanting the reaction that is taught only then
     * @param places in how many more places of the map it goes with that stance than against it
     */
    private record Separation(Fact fact, Reaction wanting, long places) {
    }

    /**
     * The conditions by which the map itself tells the two stances apart elsewhere, the most telling first: facts that hold
     * where the one is taught and do not where the other is, or that the one needs and the other must not have. A fact that
     * the situation settles is none of them, for it would close one of the two for good; nor is one that either needs
     * already.
     */
    private static List<Separation> separations(MapIndex index, Clash clash, Situation situation) {
        List<Separation> separations = new ArrayList<>();
        for (Fact fact : index.map().facts()) {
            if (situation.facts().containsKey(fact.id()) || clash.one().needs().containsKey(fact.id())
                    || clash.other().needs().containsKey(fact.id())) {
                continue;
            }
            long one = balance(index, clash.one(), fact.id(), situation.id());
            long other = balance(index, clash.other(), fact.id(), situation.id());
            if (one > 0 && other <= 0) {
                separations.add(new Separation(fact, clash.one(), one - other));
            } else if (other > 0 && one <= 0) {
                separations.add(new Separation(fact, clash.other(), other - one));
            }
        }
        return separations.stream().sorted(Comparator.comparingLong(Separation::places).reversed())
                .limit(MOST_SEPARATIONS).toList();
    }

    /** In how many other places a reaction's stance goes with a fact, less those in which it goes without. */
    private static long balance(MapIndex index, Reaction reaction, Id fact, Id besides) {
        Optional<StanceRef> stance = stance(index, reaction);
        return index.map().reactions().stream()
                .filter(r -> !r.from().equals(besides) && stance(index, r).equals(stance))
                .mapToLong(r -> {
                    Boolean needed = r.needs().get(fact);
                    Boolean holds = needed != null ? needed
                            : index.situation(r.from()).map(s -> s.facts().get(fact)).orElse(null);
                    return holds == null ? 0 : holds ? 1 : -1;
                }).sum();
    }

    /** The first two reactions of a situation that take different stances with no need that separates them. */
    private static Optional<Clash> clash(MapIndex index, Id situation) {
        List<Reaction> here = index.map().reactions().stream().filter(r -> r.from().equals(situation)).toList();
        for (Reaction one : here) {
            for (Reaction other : here) {
                Optional<StanceRef> first = stance(index, one);
                Optional<StanceRef> second = stance(index, other);
                boolean clash = first.isPresent() && second.isPresent()
                        && first.get().principle().equals(second.get().principle())
                        && !first.get().stance().equals(second.get().stance()) && !MapReview.separated(one, other);
                if (clash) {
                    return index.map().principles().stream()
                            .filter(p -> p.id().equals(first.get().principle())).findFirst()
                            .map(principle -> new Clash(principle, one, other));
                }
            }
        }
        return Optional.empty();
    }

    private static Optional<StanceRef> stance(MapIndex index, Reaction reaction) {
        return index.technique(reaction.technique()).flatMap(Technique::stance);
    }

    /**
     * The map after a mend.
     *
     * @param mend the id of one of {@link #of}'s mends
     * @throws RefusedException when the finding has no such mend; the map may have changed meanwhile
     */
    public static EscapeMap apply(MapIndex index, Finding finding, String mend) {
        if (of(index, finding).stream().noneMatch(m -> m.id().equals(mend))) {
            throw new RefusedException(
                    "This finding cannot be mended by “%s” as the map is now; look at it again.".formatted(mend));
        }
        EscapeMap map = index.map();
        if (mend.startsWith(TAKE_STANCE)) {
            Principle principle = clash(index, finding.place()).orElseThrow().principle();
            return map.with(principle.withHouse(Optional.of(Id.of(mend.substring(TAKE_STANCE.length())))));
        }
        if (mend.startsWith(SEPARATE)) {
            String[] named = mend.substring(SEPARATE.length()).split(":");
            Clash clash = clash(index, finding.place()).orElseThrow();
            Id wanted = Id.of(named[0]);
            Id fact = Id.of(named[1]);
            return map.with(needing(clash.one(), fact, clash.one().id().equals(wanted)))
                    .with(needing(clash.other(), fact, clash.other().id().equals(wanted)));
        }
        return switch (mend) {
            case LEAVE_OUT -> map.without(PartKind.REACTIONS, finding.place());
            case WRITE_CAUTION -> map.with(withCaution(index, technique(index, finding.place())));
            case NOT_FOR_CHILDREN -> {
                Reaction reaction = map.reactions().stream().filter(r -> r.id().equals(finding.place())).findFirst()
                        .orElseThrow();
                yield map.with(technique(index, reaction.technique()).forChildren(false));
            }
            case START_HERE -> map.with(index.situation(finding.place()).orElseThrow().withEntry(1));
            default -> throw new IllegalStateException("Impossible state: mend " + mend);
        };
    }

    private static Technique technique(MapIndex index, Id id) {
        return index.technique(id).orElseThrow();
    }

    private static Reaction needing(Reaction reaction, Id fact, boolean wanted) {
        Map<Id, Boolean> needs = new LinkedHashMap<>(reaction.needs());
        needs.put(fact, wanted);
        return reaction.withNeeds(needs);
    }

    private static Technique withCaution(MapIndex index, Technique technique) {
        List<String> cautions = new ArrayList<>(technique.cautions());
        MapReview.risks(index, technique).forEach(risk -> cautions.add(CAUTIONS.get(risk)));
        return technique.withCautions(cautions);
    }
}
