package app.narrowgate.core.lesson;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.Dial;
import app.narrowgate.core.drill.Drill;
import app.narrowgate.core.drill.DrillDesigner;
import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.LookAlike;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.PracticeLink;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What there is to practise in a class, by its parts, for the pair that is typical of it. */
final class Units {

    private static final int CHAIN_LINKS = 4;
    private static final int CALLS = 3;
    private static final int MOST_NEW = 24;
    private static final int MOST_PLACES = 10;
    private static final int MOST_LOOK_ALIKES = 10;
    private static final int MOST_RECALLED = 8;
    private static final double MINUTES = 8;
    /** What is done less often than this in a round is no part of what a live round practises. */
    private static final double SELDOM = 0.02;

    private final PracticeGraph graph;
    private final SolvedMap solved;
    private final Focus focus;
    private final double[] starts;
    private final Map<Id, Id> needs;

    /**
     * @param graph of the typical pair
     * @param promising reactions that gain somebody something, most first
     * @param known reactions that most of those who are here have practised
     */
    private Units(PracticeGraph graph, Focus focus, List<Id> promising, Set<Id> known) {
        this.graph = graph;
        this.solved = graph.solved();
        this.focus = focus;
        this.starts = focus.starts(solved);
        Set<Id> begins = solved.map().situations().stream()
                .filter(s -> s.entry() > 0 || starts[solved.place(s.id())] > 0).map(Situation::id).collect(Collectors.toSet());
        List<Id> unknown = promising.stream().filter(id -> !known.contains(id)).limit(MOST_NEW).toList();
        this.needs = Prerequisites.among(solved.index(), begins, unknown);
    }

    /** All units, the most promising of every part first; each key once. */
    static List<Unit> of(PracticeGraph graph, Focus focus, List<Id> promising, Set<Id> known, List<Id> lately, Collection<String> fixed) {
        Units units = new Units(graph, focus, promising, known);
        Map<String, Unit> found = new LinkedHashMap<>();
        List<Unit> all = new ArrayList<>();
        promising.stream().filter(id -> !known.contains(id)).limit(MOST_NEW).forEach(id -> units.one(Section.NEW, id).ifPresent(all::add));
        Set<Id> recalled = new LinkedHashSet<>(lately);
        promising.stream().filter(known::contains).limit(MOST_RECALLED).forEach(recalled::add);
        recalled.forEach(id -> units.one(Section.RECALL, id).ifPresent(all::add));
        for (Id place : units.places(promising)) {
            for (Section section : List.of(Section.CHAIN, Section.CALLED, Section.LIVE)) {
                units.from(section, place).ifPresent(all::add);
            }
        }
        all.addAll(units.lookAlikes());
        fixed.forEach(key -> units.byKey(key).ifPresent(all::add));
        // What grows comes before what is in earnest.
        all.sort(Comparator.comparing(unit -> !unit.isDialled()));
        all.forEach(unit -> found.putIfAbsent(unit.key(), unit));
        return List.copyOf(found.values());
    }

    /** The places where something promising is given, and those that rounds begin in. */
    private List<Id> places(List<Id> promising) {
        Set<Id> places = new LinkedHashSet<>();
        promising.forEach(id -> places.add(solved.index().reaction(id).orElseThrow().from()));
        List<Id> own = places.stream().filter(id -> focus.holds(solved.index().situation(id).orElseThrow())).limit(MOST_PLACES).toList();
        return own.isEmpty() ? places.stream().limit(MOST_PLACES).toList() : own;
    }

    /** One answer, shown and repeated: its link that is met most often. */
    private Optional<Unit> one(Section section, Id id) {
        Optional<Reaction> reaction = solved.index().reaction(id);
        if (reaction.isEmpty()) {
            return Optional.empty();
        }
        Optional<LinkRef> link = graph.linksFrom(reaction.get().from()).stream().map(PracticeLink::ref)
                .filter(ref -> ref.reaction().equals(id)).findFirst();
        String title = solved.index().reactionTitle(reaction.get());
        return link.map(ref -> Unit.of(section, id.value(), Drill.of(title, section == Section.NEW ? DrillKind.STEP_LIMITED : DrillKind.FIXED,
                Optional.of(reaction.get().from()), List.of(ref)), Optional.empty(),
                section == Section.NEW ? Optional.ofNullable(needs.get(id)) : Optional.empty()));
    }

    private Optional<Unit> from(Section section, Id place) {
        if (open(place).isEmpty()) {
            return Optional.empty();
        }
        return switch (section) {
            case CHAIN -> chain(place);
            case CALLED -> called(place);
            case LIVE -> live(place, DrillKind.LIVE);
            default -> Optional.empty();
        };
    }

    /** A walk from {@code place}: the best answer's likeliest link, on from where it lands or from what is fed there, until nothing new comes. */
    private Optional<Unit> chain(Id place) {
        List<LinkRef> links = new ArrayList<>();
        Set<Id> seen = new HashSet<>();
        Optional<Id> at = Optional.of(place);
        while (at.isPresent() && links.size() < CHAIN_LINKS && seen.add(at.get())) {
            Optional<PracticeLink> link = solved.index().situation(at.get()).flatMap(here -> graph.linksFrom(here.id()).stream().findFirst());
            link.map(PracticeLink::ref).ifPresent(links::add);
            at = link.map(PracticeLink::landing).flatMap(landing -> onward(landing, seen));
        }
        return links.size() < 2 ? Optional.empty() : Optional.of(Unit.of(Section.CHAIN, place.value(),
                Drill.of(solved.index().placeTitle(place), DrillKind.CHAIN, Optional.of(place), links), Optional.empty(), Optional.empty()));
    }

    private Optional<Id> onward(Id landing, Set<Id> seen) {
        boolean goesOn = solved.index().situation(landing).isPresent() && !graph.linksFrom(landing).isEmpty();
        return goesOn && solved.index().situation(landing).orElseThrow().rest().isEmpty() ? Optional.of(landing)
                : graph.feeds(landing).stream().filter(fed -> !seen.contains(fed)).findFirst();
    }

    private Optional<Unit> called(Id place) {
        Drill drill = DrillDesigner.from(graph, place, CALLS, MINUTES);
        return drill.links().size() < 2 ? Optional.empty()
                : Optional.of(Unit.of(Section.CALLED, place.value(), drill, Optional.empty(), Optional.empty()));
    }

    /**
     * A live round from {@code place} practises what is met in it, as often as it is met; so does one whose strength is dialled, our
     * estimate. It is dialled only where the instructor wants it.
     */
    private Optional<Unit> live(Id place, DrillKind kind) {
        List<Unit.Way> ways = ways(place, kind);
        Optional<String> key = ways.stream().filter(way -> way.kind() == kind).map(Unit.Way::key).findFirst();
        if (key.isEmpty()) {
            return Optional.empty();
        }
        double[] visits = solved.chain().visits(solved.startsAt(Optional.of(place)));
        Map<Id, Double> met = new LinkedHashMap<>();
        List<LinkRef> links = new ArrayList<>();
        for (Situation situation : solved.map().situations()) {
            int s = solved.place(situation.id());
            solved.best(s).filter(reaction -> visits[s] > SELDOM && !graph.closesOnAChild(situation.id())).ifPresent(reaction -> {
                met.put(reaction.id(), visits[s]);
                graph.linksFrom(situation.id()).stream().map(PracticeLink::ref).filter(ref -> ref.reaction().equals(reaction.id()))
                        .findFirst().ifPresent(links::add);
            });
        }
        double all = met.values().stream().mapToDouble(v -> v).sum();
        if (all == 0 || links.isEmpty()) {
            return Optional.empty();
        }
        Map<Id, Double> shares = new HashMap<>();
        met.forEach((id, visited) -> shares.put(id, visited / Math.max(1, all)));
        // A gate names what is shown; everything else that is live is left to the pair.
        List<LinkRef> shown = kind == DrillKind.GATE ? graph.linksFrom(place).stream().map(PracticeLink::ref).limit(1).toList() : List.of();
        Drill drill = Drill.of(solved.index().placeTitle(place), kind, Optional.of(place), shown);
        return Optional.of(new Unit(key.get(), Section.LIVE, Optional.of(place), links, shares, Optional.of(drill), Optional.empty(),
                Optional.empty(), ways.size() > 1 ? ways : List.of()));
    }

    /** In earnest, or dialled where that is open; as a gate only where it is asked for as one. */
    private List<Unit.Way> ways(Id place, DrillKind kind) {
        List<Unit.Way> ways = new ArrayList<>(List.of(new Unit.Way(DrillKind.LIVE, Section.LIVE.code() + ":" + place)));
        if (Dial.isOpen(solved.index(), place)) {
            ways.add(new Unit.Way(DrillKind.DIAL, Section.LIVE.code() + ":" + place + "~" + DrillKind.DIAL.code()));
        }
        if (kind == DrillKind.GATE) {
            ways.add(new Unit.Way(DrillKind.GATE, Unit.gate(place)));
        }
        return ways;
    }

    /** A live round by what stands behind its part's name: a place, and a kind of drill where it is not in earnest. */
    private Optional<Unit> liveByKey(String what) {
        int tilde = what.indexOf('~');
        return tilde < 0 ? from(Section.LIVE, Id.of(what))
                : open(Id.of(what.substring(0, tilde))).flatMap(place -> live(place, Coded.require(DrillKind.class, "The kind of drill", what.substring(tilde + 1))));
    }

    /** The place, where the map has it and gives an answer in it. */
    private Optional<Id> open(Id place) {
        return Optional.of(place).filter(id -> solved.index().situation(id).isPresent() && !graph.linksFrom(id).isEmpty());
    }

    private List<Unit> lookAlikes() {
        List<Unit> found = new ArrayList<>();
        Set<Set<Id>> seen = new HashSet<>();
        for (LookAlike pair : LookAlikes.of(graph, starts)) {
            if (found.size() < MOST_LOOK_ALIKES && seen.add(Set.of(pair.one().situation(), pair.other().situation()))) {
                apart(pair).ifPresent(found::add);
            }
        }
        return found;
    }

    private Optional<Unit> apart(LookAlike pair) {
        Drill drill = DrillDesigner.apart(graph, pair, MINUTES);
        String what = pair.one().situation() + "~" + pair.other().situation();
        return drill.links().size() < 2 ? Optional.empty()
                : Optional.of(Unit.of(Section.CALLED, what, drill, Optional.of(pair), Optional.empty()));
    }

    /** What was fixed under a key though it is not among the most promising; empty where the map no longer has it. */
    private Optional<Unit> byKey(String key) {
        int colon = key.indexOf(':');
        if (colon < 0) {
            return Optional.empty();
        }
        try {
            Section section = Coded.require(Section.class, "The part", key.substring(0, colon));
            String what = key.substring(colon + 1);
            return switch (section) {
                case NEW, RECALL -> one(section, Id.of(what));
                case CHAIN -> from(section, Id.of(what));
                case LIVE -> liveByKey(what);
                case CALLED -> what.contains("~") ? apartByKey(what) : from(section, Id.of(what));
                case WARM_UP, TALK -> Optional.empty();
            };
        } catch (RefusedException gone) {
            return Optional.empty();
        }
    }

    private Optional<Unit> apartByKey(String what) {
        return LookAlikes.of(graph, starts).stream()
                .filter(pair -> what.equals(pair.one().situation() + "~" + pair.other().situation())).findFirst().flatMap(this::apart);
    }
}
