package app.narrowgate.core.drill;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/**
 * A failure goes on instead of stopping: from a bad place the feeder answers as the list says, and from wherever that
 * lands the pair goes on, until the bottom player is anywhere but in one of the bad places. Then swap.
 *
 * <p>In each place one of the best {@value #ANSWERS} answers open to the pair is given. Which answer and response come is
 * what came least so far in that place, by lot among equals; after {@value #LONG_ENOUGH} answers in a turn one that leads out is taken where there
 * is one. Deterministic for a seed.
 */
final class UntilOut {

    private static final int ANSWERS = 3;
    private static final int LONG_ENOUGH = 5;
    /** A turn that is still in bad places after so many is begun again; nothing there leads out. */
    private static final int TOO_LONG = 12;

    private final PracticeGraph graph;
    private final Set<Id> bad;
    private final Random random;
    private final Map<LinkRef, Integer> given = new HashMap<>();
    private final List<DrillStep> steps = new ArrayList<>();
    private Place here;

    private UntilOut(PracticeGraph graph, Set<Id> bad, long seed) {
        this.graph = graph;
        this.bad = bad;
        this.random = Lot.of(seed);
    }

    /** Steps of turns from {@code start}, the partners by turns on the bottom, until they last {@code seconds}. */
    static List<DrillStep> steps(PracticeGraph graph, Id start, Set<Id> bad, double seconds, long seed) {
        UntilOut drawing = new UntilOut(graph, bad, seed);
        Role role = Role.FIRST;
        do {
            drawing.turn(new Place(start, role));
            role = role.other();
        } while (DrillFigures.of(drawing.steps).seconds() < seconds);
        return drawing.steps;
    }

    private void turn(Place start) {
        if (here != null) {
            steps.addAll(graph.onward(here, start));
        }
        here = start;
        for (int answers = 0; answers < TOO_LONG && bad.contains(here.at()); answers++) {
            List<PracticeLink> links = ofTheBest(graph.linksFrom(here.at()));
            if (links.isEmpty()) {
                return;
            }
            PracticeLink next = next(links, answers >= LONG_ENOUGH);
            given.merge(next.ref(), 1, Integer::sum);
            DrillStep step = DrillStep.practising(next, here.bottom());
            steps.add(step);
            here = step.to();
        }
    }

    /** The links of the best few answers. */
    private static List<PracticeLink> ofTheBest(List<PracticeLink> links) {
        List<Id> best = links.stream().map(link -> link.ref().reaction()).distinct().limit(ANSWERS).toList();
        return links.stream().filter(link -> best.contains(link.ref().reaction())).toList();
    }

    private PracticeLink next(List<PracticeLink> links, boolean out) {
        List<PracticeLink> leading = links.stream().filter(link -> !bad.contains(link.landing())).toList();
        List<PracticeLink> offered = out && !leading.isEmpty() ? leading : links;
        int least = offered.stream().mapToInt(link -> given.getOrDefault(link.ref(), 0)).min().orElseThrow();
        List<PracticeLink> due = offered.stream().filter(link -> given.getOrDefault(link.ref(), 0) == least).toList();
        return due.get(random.nextInt(due.size()));
    }
}
