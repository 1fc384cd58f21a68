package app.narrowgate.core.drill;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Which of the chosen links a pair may practise, and what it takes instead of those it may not: the best answer from the
 * same start that is open for it, by injuries, age, weight, house and level. The pair is that of the map's setting.
 */
public final class WhoMay {

    /**
     * What becomes of a link that was asked for.
     *
     * @param taken the link itself, another from the same start, or nothing where none is open there
     * @param because what closed it; empty where it is open or only above the pair's level
     * @param aboveLevel true where it is taught later; it stays where nothing else is taught from its start
     */
    public record Verdict(LinkRef asked, Optional<LinkRef> taken, List<Closing> because, boolean aboveLevel) {
        public Verdict {
            because = List.copyOf(because);
        }

        /** True where the pair practises what was asked. */
        public boolean stays() {
            return taken.equals(Optional.of(asked));
        }
    }

    private final PracticeGraph graph;
    private final SolvedMap solved;
    private final MapIndex index;

    private WhoMay(PracticeGraph graph) {
        this.graph = graph;
        this.solved = graph.solved();
        this.index = solved.index();
    }

    /**
     * What becomes of each of {@code links}, in their order; nothing is taken twice.
     *
     * @throws RefusedException when the map has no such link
     */
    public static List<Verdict> of(PracticeGraph graph, List<LinkRef> links) {
        WhoMay asking = new WhoMay(graph);
        Set<LinkRef> taken = new HashSet<>(links);
        List<Verdict> verdicts = new ArrayList<>();
        for (LinkRef link : links) {
            Verdict verdict = asking.of(link, taken);
            verdict.taken().ifPresent(taken::add);
            verdicts.add(verdict);
        }
        return verdicts;
    }

    private Verdict of(LinkRef link, Set<LinkRef> taken) {
        Reaction reaction = index.reaction(link.reaction()).orElseThrow(
                () -> new RefusedException("No answer is called “%s”.".formatted(link.reaction())));
        Situation from = index.situation(reaction.from()).orElseThrow();
        List<Closing> closings = solved.conditions().closings(from, reaction);
        boolean above = isAbove(reaction);
        boolean closes = isClosedFor(link, reaction);
        if (closings.isEmpty() && !above && !closes) {
            return new Verdict(link, Optional.of(link), List.of(), false);
        }
        if (closes) {
            closings = new ArrayList<>(closings);
            closings.add(new Closing(Closing.Kind.CHILDREN, solved.setting().matchup().age().code()));
        }
        List<LinkRef> others = graph.linksFrom(from.id()).stream().map(PracticeLink::ref)
                .filter(ref -> !isAbove(index.reaction(ref.reaction()).orElseThrow())).toList();
        if (others.isEmpty() && closings.isEmpty()) {
            // Nothing easier is taught there: above a level is a matter of order, not of harm.
            return new Verdict(link, Optional.of(link), List.of(), true);
        }
        return new Verdict(link, others.stream().filter(ref -> !taken.contains(ref)).findFirst(), closings, above);
    }

    /** A link whose landing would have a finish closed on a child. */
    private boolean isClosedFor(LinkRef link, Reaction reaction) {
        Optional<Id> landing = reaction.response(link.response()).flatMap(r -> r.leads());
        return graph.closesOnAChild(reaction.from()) || landing.filter(graph::closesOnAChild).isPresent();
    }

    private boolean isAbove(Reaction reaction) {
        Level level = index.technique(reaction.technique()).map(Technique::level).orElse(Level.NOVICE);
        return level.compareTo(solved.setting().matchup().level()) > 0;
    }
}
