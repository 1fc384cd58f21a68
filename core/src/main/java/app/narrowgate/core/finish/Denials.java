package app.narrowgate.core.finish;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Hold;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Requirement.Need;
import app.narrowgate.core.map.Requirement;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Stage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What stops a hold with the least work: the smallest sets of needs whose denial makes it fall, and what is taught
 * against each need at each stage.
 *
 * @param denials minimal ones, least work first, then fewest needs, then the tree's order
 * @param taught stage to need to the reactions taught against it there
 */
public record Denials(Hold hold, List<Denial> denials, Map<Stage, Map<Id, List<Id>>> taught) {

    public Denials {
        denials = List.copyOf(denials);
        taught = Map.copyOf(taught);
    }

    /**
     * One way to make a hold fall; leaving out any of its needs would leave the hold standing.
     *
     * @param work sum of the needs' work
     * @param stages stages at which every one of its needs has a taught reaction, early first
     */
    public record Denial(Set<Id> needs, double work, List<Stage> stages) {
        public Denial {
            needs = java.util.Collections.unmodifiableSet(new LinkedHashSet<>(needs));
            stages = List.copyOf(stages);
        }
    }

    /**
     * The denials of {@code hold} on {@code index}'s map.
     *
     * <p>The hold stands while its tree is true. Denying an "all of" takes one part, denying an "any of" takes every
     * part; sets that contain another are dropped. This is the method of obtaining cut sets of a fault tree (MOCUS;
     * Fussell and Vesely 1972, as told in the Fault Tree Handbook, NUREG-0492, from memory) with the two gates swapped,
     * because here the tree says what must hold. Cost grows with the square of the tree's {@link Requirement#ways()}.
     *
     * @throws RefusedException when there are more than {@value Requirement#MOST_WAYS} ways
     */
    public static Denials of(MapIndex index, Hold hold) {
        if (hold.requirement().ways() > Requirement.MOST_WAYS) {
            throw new RefusedException("There are more than %d ways to deny “%s”; nest fewer “any of”."
                    .formatted(Requirement.MOST_WAYS, hold.title()));
        }
        Map<Id, Need> needs = new LinkedHashMap<>();
        hold.requirement().needs().forEach(need -> needs.put(need.id(), need));
        Map<Stage, Map<Id, List<Id>>> taught = taught(index, hold, needs);
        List<Denial> denials = new ArrayList<>();
        for (Set<Id> set : minimal(hold.requirement())) {
            double work = set.stream().mapToDouble(id -> needs.get(id).work()).sum();
            List<Stage> stages = taught.keySet().stream().sorted()
                    .filter(stage -> taught.get(stage).keySet().containsAll(set)).toList();
            denials.add(new Denial(set, work, stages));
        }
        denials.sort(Comparator.comparingDouble(Denial::work).thenComparing(d -> d.needs().size()));
        return new Denials(hold, denials, taught);
    }

    private static Map<Stage, Map<Id, List<Id>>> taught(MapIndex index, Hold hold, Map<Id, Need> needs) {
        Map<Stage, Map<Id, List<Id>>> taught = new EnumMap<>(Stage.class);
        for (Need need : needs.values()) {
            for (Reaction reaction : index.map().reactions()) {
                if (need.denied().contains(reaction.id()) && hold.at().contains(reaction.from()) && !reaction.isWrong()) {
                    index.situation(reaction.from()).flatMap(Situation::stage)
                            .ifPresent(stage -> taught.computeIfAbsent(stage, s -> new LinkedHashMap<>())
                                    .computeIfAbsent(need.id(), n -> new ArrayList<>()).add(reaction.id()));
                }
            }
        }
        return taught;
    }

    /** The minimal sets of needs whose denial makes {@code requirement} false. */
    static List<Set<Id>> minimal(Requirement requirement) {
        if (requirement instanceof Need need) {
            return List.of(Set.of(need.id()));
        }
        List<Set<Id>> sets = new ArrayList<>();
        if (requirement instanceof Requirement.All all) {
            all.parts().forEach(part -> sets.addAll(minimal(part)));
        } else if (requirement instanceof Requirement.Any any) {
            sets.add(Set.of());
            for (Requirement part : any.parts()) {
                List<Set<Id>> wider = new ArrayList<>();
                for (Set<Id> before : sets) {
                    for (Set<Id> more : minimal(part)) {
                        Set<Id> both = new LinkedHashSet<>(before);
                        both.addAll(more);
                        wider.add(both);
                    }
                }
                sets.clear();
                sets.addAll(smallest(wider));
            }
        }
        return smallest(sets);
    }

    private static List<Set<Id>> smallest(List<Set<Id>> sets) {
        List<Set<Id>> distinct = new ArrayList<>(new LinkedHashSet<>(sets));
        return distinct.stream().filter(set -> distinct.stream()
                .noneMatch(other -> other.size() < set.size() && set.containsAll(other))).toList();
    }
}
