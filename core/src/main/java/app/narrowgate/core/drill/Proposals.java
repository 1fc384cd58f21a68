package app.narrowgate.core.drill;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.advice.Sensitivities;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is worth drilling on a map, most first. The gain of practice is first order: the slope of the starts' worth
 * ({@link AdjointSensitivity}) times a tenth more of each answer's working. Cost: one adjoint solve and the look-alikes.
 */
public final class Proposals {

    /** How much more often an answer gets going after it was practised, at most to always; our estimate. */
    private static final double PRACTISED = 0.1;
    /** How often look-alikes are taken for each other by who has not kept them apart; our estimate, until a record says. */
    public static final double MIXED_UP = 0.25;
    private static final int MOST_LOOK_ALIKES = 12;
    private static final int MOST_ANSWERED_LATELY = 3;
    private static final int LINKS = 3;
    private static final double MINUTES = 8;
    private static final double EVERYDAY_MINUTES = 11;

    private final PracticeGraph graph;
    private final MapIndex index;
    private final Map<Id, Double> slopes = new HashMap<>();

    private Proposals(PracticeGraph graph) {
        this.graph = graph;
        this.index = graph.solved().index();
        Sensitivities sensitivities = AdjointSensitivity.of(graph.solved());
        sensitivities.reactions().forEach(r -> slopes.put(r.reaction(), r.perWorks()));
    }

    /** All proposals that gain something. */
    public static List<Proposal> of(PracticeGraph graph) {
        return of(graph, List.of());
    }

    /** The same, with the places first named as answered lately from which {@code lately} can be practised. */
    public static List<Proposal> of(PracticeGraph graph, List<LinkRef> lately) {
        return new Proposals(graph).all(lately);
    }

    private List<Proposal> all(List<LinkRef> lately) {
        List<Proposal> found = new ArrayList<>();
        everyday().ifPresent(found::add);
        SolvedMap solved = graph.solved();
        Optional<Reaction> gate = solved.map().reactions().stream()
                .filter(r -> slopes.containsKey(r.id())).max(Comparator.comparingDouble(this::hangsOn));
        for (Situation situation : solved.map().situations()) {
            boolean isGate = gate.filter(r -> r.from().equals(situation.id())).isPresent();
            try {
                Drill drill = DrillDesigner.from(graph, situation.id(), LINKS, MINUTES);
                add(found, isGate ? Proposal.Focus.NARROW_GATE : Proposal.Focus.PLACE, drill, situation.id());
            } catch (RefusedException nothingThere) {
                // Nothing can be practised from here, so nothing is proposed.
            }
        }
        answeredLately(found, lately);
        Set<Set<Id>> seen = new HashSet<>();
        for (LookAlike pair : LookAlikes.of(graph)) {
            if (seen.size() < MOST_LOOK_ALIKES && seen.add(Set.of(pair.one().situation(), pair.other().situation()))) {
                Drill drill = DrillDesigner.apart(graph, pair, MINUTES);
                if (drill.links().size() > 1) {
                    found.add(new Proposal(Proposal.Focus.LOOK_ALIKE, drill, pair.one().situation(),
                            Optional.of(pair.other().situation()), MIXED_UP * pair.price()));
                }
            }
        }
        found.sort(Comparator.comparingDouble(Proposal::gain).reversed());
        return found;
    }

    /** The drills of the places whose holes were mended; each takes the place of the usual drill from there. */
    private void answeredLately(List<Proposal> found, List<LinkRef> lately) {
        Map<Id, Set<LinkRef>> byPlace = lately.stream().collect(Collectors.groupingBy(
                link -> index.reaction(link.reaction()).orElseThrow().from(), LinkedHashMap::new, Collectors.toSet()));
        List<Proposal> mended = new ArrayList<>();
        byPlace.forEach((place, links) -> {
            if (graph.linksFrom(place).stream().map(PracticeLink::ref).anyMatch(links::contains)) {
                add(mended, Proposal.Focus.ANSWERED_LATELY, DrillDesigner.from(graph, place, links, LINKS, MINUTES), place);
            }
        });
        mended.sort(Comparator.comparingDouble(Proposal::gain).reversed());
        for (Proposal proposal : mended.stream().limit(MOST_ANSWERED_LATELY).toList()) {
            found.removeIf(p -> p.focus() == Proposal.Focus.PLACE && p.place().equals(proposal.place()));
            found.add(proposal);
        }
    }

    /** The everyday drill from the guard in which every call ends where the next is fed; of several the one that gains most. */
    private Optional<Proposal> everyday() {
        List<Proposal> found = new ArrayList<>();
        for (Situation situation : index.map().situations()) {
            if (situation.rest().equals(Optional.of(PlaceKind.GUARD)) && !graph.feeds(situation.id()).isEmpty()) {
                try {
                    Drill drill = DrillDesigner.everyday(graph, situation.id(), EVERYDAY_MINUTES);
                    if (drill.links().size() > 1 && !drill.finishes().isEmpty()
                            && drill.links().stream().allMatch(link -> graph.link(link).landing().equals(situation.id()))) {
                        add(found, Proposal.Focus.EVERYDAY, drill, situation.id());
                    }
                } catch (RefusedException nothingThere) {
                    // No recovery leads back here.
                }
            }
        }
        return found.stream().max(Comparator.comparingDouble(Proposal::gain));
    }

    private void add(List<Proposal> found, Proposal.Focus focus, Drill drill, Id place) {
        double gain = gain(drill);
        if (gain > 0) {
            found.add(new Proposal(focus, drill, place, Optional.empty(), gain));
        }
    }

    private double gain(Drill drill) {
        return drill.allLinks().stream().map(LinkRef::reaction).distinct()
                .flatMap(id -> index.reaction(id).stream())
                .mapToDouble(r -> Math.max(0, slopes.getOrDefault(r.id(), 0.0))
                        * Math.min(PRACTISED, 1 - graph.solved().conditions().works(r))).sum();
    }

    private double hangsOn(Reaction reaction) {
        return slopes.get(reaction.id()) * graph.solved().conditions().works(reaction);
    }
}
