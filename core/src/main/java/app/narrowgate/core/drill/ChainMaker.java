package app.narrowgate.core.drill;

import app.narrowgate.core.drill.ConnectedCirculation.Arrow;
import app.narrowgate.core.map.Id;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.cycle.HierholzerEulerianCycle;
import org.jgrapht.graph.DirectedPseudograph;

/**
 * Makes a chain: the closed walk that has every link at least so often for each partner and loses the least time.
 *
 * <p>Nodes are {@link Place}s and one more, the starting place, through which every reset goes. Arrows are links (they
 * lose nothing), feeds, swaps and resets. The walk is an Eulerian cycle (Hierholzer 1873) of the cheapest circulation
 * that hangs together, see {@link ConnectedCirculation}: exact where that search ends, which it has for up to 12
 * components and 60 links in all that was tried; beyond that the best found, with the bound. A link may come more often
 * than asked where less time is lost so. Deterministic for a seed.
 */
public final class ChainMaker {

    /** Flows to be solved, divided among the arrows: keeps the work of large chains within a second. */
    private static final int WORK = 400_000;
    private static final int FEWEST_FLOWS = 12;
    private static final int MOST_FLOWS = 2_000;

    private final PracticeGraph graph;
    private final List<PracticeLink> links;
    private final ChainRequest request;
    private final Map<Place, Integer> nodes = new LinkedHashMap<>();
    private final Set<Id> useful = new HashSet<>();
    private final List<Arrow> arrows = new ArrayList<>();
    /** What each arrow is; null for those into and out of the starting place. */
    private final List<DrillStep> steps = new ArrayList<>();
    private final int hub;

    private ChainMaker(PracticeGraph graph, ChainRequest request) {
        this.graph = graph;
        this.request = request;
        this.links = request.links().stream().map(graph::link).toList();
        Set<Id> starts = new HashSet<>();
        links.forEach(link -> starts.add(link.start()));
        findUseful(starts);
        for (Role role : Role.values()) {
            links.forEach(link -> addLink(link, role));
        }
        Deque<Place> unseen = new ArrayDeque<>(nodes.keySet());
        while (!unseen.isEmpty()) {
            addOnward(unseen.pop(), unseen);
        }
        this.hub = nodes.size();
        nodes.forEach((place, node) -> {
            add(node, hub, graph.times().reset(), null);
            if (starts.contains(place.at())) {
                add(hub, node, 0, null);
            }
        });
    }

    /**
     * The chain for {@code request}.
     *
     * @throws app.narrowgate.core.check.RefusedException when a link cannot be practised
     */
    public static Chain make(PracticeGraph graph, ChainRequest request) {
        return new ChainMaker(graph, request).walk();
    }

    /** Places from which a start is reached by feeding and swapping alone. */
    private void findUseful(Set<Id> starts) {
        useful.addAll(starts);
        boolean grows = true;
        List<Id> all = new ArrayList<>();
        graph.solved().map().situations().forEach(s -> all.add(s.id()));
        graph.solved().map().outcomes().forEach(o -> all.add(o.id()));
        while (grows) {
            grows = false;
            for (Id place : all) {
                if (!useful.contains(place) && (graph.feeds(place).stream().anyMatch(useful::contains)
                        || graph.then(place).filter(useful::contains).isPresent())) {
                    grows = useful.add(place);
                }
            }
        }
    }

    private int node(Place place) {
        return nodes.computeIfAbsent(place, p -> nodes.size());
    }

    private void add(int from, int to, double cost, DrillStep step) {
        arrows.add(new Arrow(from, to, cost, step != null && step.isWork() ? request.repetitions() : 0));
        steps.add(step);
    }

    private void addLink(PracticeLink link, Role role) {
        DrillStep step = DrillStep.practising(link, role);
        add(node(step.from()), node(step.to()), 0, step);
    }

    private void addOnward(Place from, Deque<Place> unseen) {
        for (Id fed : graph.feeds(from.at())) {
            addStep(DrillStep.Kind.FEED, from, new Place(fed, from.bottom()), graph.times().feed(), unseen);
        }
        graph.then(from.at()).ifPresent(then -> addStep(DrillStep.Kind.SWAP, from, new Place(then, from.bottom().other()),
                graph.times().swap(), unseen));
    }

    private void addStep(DrillStep.Kind kind, Place from, Place to, double seconds, Deque<Place> unseen) {
        if (!useful.contains(to.at()) || to.equals(from)) {
            return;
        }
        if (!nodes.containsKey(to)) {
            unseen.add(to);
        }
        add(node(from), node(to), seconds, DrillStep.between(kind, from, to, seconds));
    }

    private Chain walk() {
        int mostFlows = Math.max(FEWEST_FLOWS, Math.min(MOST_FLOWS, WORK / arrows.size()));
        ConnectedCirculation.Found found = ConnectedCirculation.solve(hub + 1, arrows, mostFlows);
        return new Chain(inOrder(found.uses()), found.bound(), found.proven());
    }

    /** One use of an arrow. */
    private record Use(int arrow, int count) {
    }

    private List<DrillStep> inOrder(int[] uses) {
        List<Use> all = new ArrayList<>();
        for (int a = 0; a < uses.length; a++) {
            for (int count = 0; count < uses[a]; count++) {
                all.add(new Use(a, count));
            }
        }
        Collections.shuffle(all, Lot.of(request.seed()));
        DirectedPseudograph<Integer, Use> walked = new DirectedPseudograph<>(Use.class);
        all.forEach(use -> {
            walked.addVertex(arrows.get(use.arrow()).from());
            walked.addVertex(arrows.get(use.arrow()).to());
        });
        all.forEach(use -> walked.addEdge(arrows.get(use.arrow()).from(), arrows.get(use.arrow()).to(), use));
        GraphPath<Integer, Use> cycle = new HierholzerEulerianCycle<Integer, Use>().getEulerianCycle(walked);
        return joined(fromItsBeginning(cycle.getEdgeList()));
    }

    /** The cycle turned so that it begins with the first partner on the bottom, in the first link asked for if possible. */
    private List<Use> fromItsBeginning(List<Use> cycle) {
        int begin = 0;
        int rank = Integer.MAX_VALUE;
        Map<Object, Integer> order = new HashMap<>();
        links.forEach(link -> order.putIfAbsent(link.ref(), order.size()));
        for (int at = 0; at < cycle.size(); at++) {
            DrillStep step = steps.get(cycle.get(at).arrow());
            if (step != null && step.isWork()) {
                int own = order.get(step.link().orElseThrow()) + (step.from().bottom() == Role.FIRST ? 0 : order.size());
                if (own < rank) {
                    rank = own;
                    begin = at;
                }
            }
        }
        List<Use> turned = new ArrayList<>(cycle.subList(begin, cycle.size()));
        turned.addAll(cycle.subList(0, begin));
        return turned;
    }

    /** Steps in order, the way to the starting place and from it made one. */
    private List<DrillStep> joined(List<Use> cycle) {
        List<Place> places = new ArrayList<>(nodes.keySet());
        List<DrillStep> walk = new ArrayList<>();
        Place left = null;
        for (Use use : cycle) {
            Arrow arrow = arrows.get(use.arrow());
            if (arrow.to() == hub) {
                left = places.get(arrow.from());
            } else if (arrow.from() == hub) {
                walk.add(DrillStep.between(DrillStep.Kind.RESET, left, places.get(arrow.to()), graph.times().reset()));
            } else {
                walk.add(steps.get(use.arrow()));
            }
        }
        return walk;
    }
}
