package app.narrowgate.core.lesson;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.trait.AgeGroup;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jgrapht.alg.matching.blossom.v5.KolmogorovWeightedPerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;

/**
 * Who works with whom, round by round.
 *
 * <p>Problem: in each round a perfect matching of least cost ({@link PairCosts}) on the complete graph of those who are here, with one
 * more for the one who is left over when they are odd; adults and children are matched apart. Method: the blossom algorithm
 * (Edmonds 1965) as Kolmogorov gave it (Blossom V, 2009). Rounds follow each other, each knowing the pairs before it; where that makes two meet
 * again though there are partners enough, the rounds of a tournament (1-factorisation of the complete graph, Kirkman 1847) are tried
 * too and the cheaper of the two plans is kept. Exact for one round. Cost O(people³) a round.
 */
public final class PairPlanner {

    private final PairRequest request;
    private final PairCosts costs;
    private final Map<UUID, Student> students = new LinkedHashMap<>();

    private PairPlanner(PairRequest request) {
        this.request = request;
        this.costs = new PairCosts(request);
        request.students().forEach(student -> students.put(student.id(), student));
    }

    /** Every round; everybody who is here is in each of them once. */
    public static List<PairedRound> plan(PairRequest request) {
        return new PairPlanner(request).plan();
    }

    /**
     * A round with somebody who came late; only the group that they join changes. They join whoever rests, or make a pair with
     * one of a three, or, where all are pairs, the third in one; they rest where nobody may work with them.
     *
     * @param request as the round was made, with whoever came late among those who are here
     * @param number of the round, from 0
     * @throws RefusedException when they are in the round already, or not among those who are here
     */
    public static PairedRound join(PairRequest request, int number, PairedRound round, UUID late) {
        return new PairPlanner(request).joined(request.rounds().get(number), round, late);
    }

    /** The costs of a first round, for checking against other ways of pairing. */
    static PairCosts costs(PairRequest request) {
        return new PairCosts(request);
    }

    private List<PairedRound> plan() {
        List<PairedRound> following = new ArrayList<>();
        long cost = 0;
        for (RoundWish wish : request.rounds()) {
            PairedRound round = round(wish);
            cost += cost(wish, round);
            costs.count(round);
            following.add(round);
        }
        if (meetsAgain(following)) {
            Optional<List<PairedRound>> tournament = tournament(cost);
            if (tournament.isPresent()) {
                return tournament.get();
            }
        }
        return following;
    }

    private long cost(RoundWish wish, PairedRound round) {
        return sum(wish, round.groups().stream().map(group -> group.who().stream().map(students::get).toList()).toList());
    }

    private long group(RoundWish wish, List<Student> who) {
        long cost = 0;
        for (int i = 0; i < who.size(); i++) {
            cost += who.size() == 2 ? 0 : costs.leftOver(who.get(i).id());
            for (int j = 0; j < i; j++) {
                cost += costs.of(wish, who.get(i), who.get(j));
            }
        }
        return cost;
    }

    private PairedRound round(RoundWish wish) {
        List<List<Student>> groups = new ArrayList<>();
        Set<UUID> locked = new HashSet<>();
        for (Couple couple : request.together()) {
            if (students.containsKey(couple.one()) && students.containsKey(couple.other())
                    && costs.may(wish, students.get(couple.one()), students.get(couple.other()))) {
                groups.add(students.values().stream().filter(student -> couple.holds(student.id())).toList());
                locked.add(couple.one());
                locked.add(couple.other());
            }
        }
        Map<AgeGroup, List<Student>> byAge = new EnumMap<>(AgeGroup.class);
        students.values().stream().filter(student -> !locked.contains(student.id()))
                .forEach(student -> byAge.computeIfAbsent(student.person().age(), age -> new ArrayList<>()).add(student));
        byAge.values().forEach(same -> groups.addAll(grouped(wish, same, groups)));
        return explained(wish, groups);
    }

    /** Those of one age group in pairs; whoever is left over makes a three of the pair where it costs least, or of two whose turn it is. */
    private List<List<Student>> grouped(RoundWish wish, List<Student> same, List<List<Student>> locked) {
        List<Student> left = new ArrayList<>();
        List<List<Student>> joined = withLeft(wish, matched(wish, same, left), left);
        if (request.odd() == PairRequest.Odd.REST || left.size() != 1 || same.size() < 3) {
            boolean alone = joined.stream().anyMatch(group -> group.size() == 1);
            return alone && request.odd() == PairRequest.Odd.THREE ? joinedTo(wish, joined, locked) : joined;
        }
        Optional<List<Student>> turn = inTurn(wish, same, left.get(0));
        if (turn.isEmpty()) {
            return joined;
        }
        List<Student> others = same.stream().filter(student -> !turn.get().contains(student)).toList();
        List<Student> none = new ArrayList<>();
        List<List<Student>> chosen = new ArrayList<>(matched(wish, others, none));
        chosen.add(turn.get());
        return none.isEmpty() && sum(wish, chosen) < sum(wish, joined) ? chosen : joined;
    }

    /** Whoever is alone of their age joins a pair that is kept together, where there is one. */
    private List<List<Student>> joinedTo(RoundWish wish, List<List<Student>> groups, List<List<Student>> locked) {
        List<Student> alone = groups.stream().filter(group -> group.size() == 1).map(group -> group.get(0)).toList();
        List<List<Student>> rest = new ArrayList<>(groups.stream().filter(group -> group.size() > 1).toList());
        for (Student one : alone) {
            Optional<List<Student>> pair = third(wish, locked, one);
            pair.ifPresentOrElse(two -> {
                locked.remove(two);
                rest.add(with(two, one));
            }, () -> rest.add(List.of(one)));
        }
        return rest;
    }

    /** The three with {@code one} that costs least, whoever was in one before costing more. */
    private Optional<List<Student>> inTurn(RoundWish wish, List<Student> same, Student one) {
        List<Student> best = List.of();
        long least = Long.MAX_VALUE;
        for (int i = 0; i < same.size(); i++) {
            for (int j = 0; j < i; j++) {
                List<Student> three = List.of(same.get(j), same.get(i), one);
                if (same.get(i) != one && same.get(j) != one && group(wish, three) < least) {
                    best = three;
                    least = group(wish, three);
                }
            }
        }
        return least < PairCosts.FORBIDDEN ? Optional.of(best) : Optional.empty();
    }

    private long sum(RoundWish wish, List<List<Student>> groups) {
        return groups.stream().mapToLong(group -> group.size() == 1 ? costs.leftOver(group.get(0).id()) : group(wish, group)).sum();
    }

    /** Pairs of least cost; whoever is left over, or has only forbidden partners, goes to {@code left}. */
    private List<List<Student>> matched(RoundWish wish, List<Student> same, List<Student> left) {
        int n = same.size();
        SimpleWeightedGraph<Integer, DefaultWeightedEdge> graph = new SimpleWeightedGraph<>(DefaultWeightedEdge.class);
        for (int i = 0; i < n + n % 2; i++) {
            graph.addVertex(i);
            for (int j = 0; j < i; j++) {
                graph.setEdgeWeight(graph.addEdge(j, i), i == n ? costs.leftOver(same.get(j).id()) : costs.of(wish, same.get(j), same.get(i)));
            }
        }
        List<List<Student>> groups = new ArrayList<>();
        for (DefaultWeightedEdge edge : n == 0 ? Set.<DefaultWeightedEdge>of() : new KolmogorovWeightedPerfectMatching<>(graph).getMatching().getEdges()) {
            int one = graph.getEdgeSource(edge);
            int other = graph.getEdgeTarget(edge);
            if (one == n || other == n) {
                left.add(same.get(Math.min(one, other)));
            } else if (costs.may(wish, same.get(one), same.get(other))) {
                groups.add(List.of(same.get(Math.min(one, other)), same.get(Math.max(one, other))));
            } else {
                left.add(same.get(one));
                left.add(same.get(other));
            }
        }
        groups.sort(Comparator.comparing(group -> same.indexOf(group.get(0))));
        return groups;
    }

    /** With those left over as thirds where that is wished and allowed, else resting. */
    private List<List<Student>> withLeft(RoundWish wish, List<List<Student>> pairs, List<Student> left) {
        List<List<Student>> groups = new ArrayList<>(pairs);
        for (Student one : left) {
            Optional<List<Student>> best = request.odd() == PairRequest.Odd.REST ? Optional.empty() : third(wish, groups, one);
            if (best.isPresent()) {
                groups.set(groups.indexOf(best.get()), with(best.get(), one));
            } else {
                groups.add(List.of(one));
            }
        }
        return groups;
    }

    /** The pair that somebody joins at the least cost; pairs that are kept together stay two where others can be joined. */
    private Optional<List<Student>> third(RoundWish wish, List<List<Student>> groups, Student one) {
        return groups.stream().filter(group -> group.size() == 2 && group.stream().allMatch(other -> costs.may(wish, one, other)))
                .min(Comparator.comparing((List<Student> group) -> request.together().contains(new Couple(group.get(0).id(), group.get(1).id())))
                        .thenComparing(group -> group(wish, with(group, one)) - group(wish, group)));
    }

    private static List<Student> with(List<Student> group, Student one) {
        List<Student> three = new ArrayList<>(group);
        three.add(one);
        return three;
    }

    private PairedRound explained(RoundWish wish, List<List<Student>> groups) {
        return new PairedRound(groups.stream().map(group -> explain(wish, group)).toList());
    }

    private PairedRound.Group explain(RoundWish wish, List<Student> group) {
        List<UUID> who = group.stream().map(Student::id).toList();
        if (group.size() == 1) {
            Student alone = group.get(0);
            boolean anybody = students.values().stream().anyMatch(other -> other != alone && costs.may(wish, alone, other));
            return new PairedRound.Group(who, List.of(PairCosts.about(anybody ? PairedRound.Note.RESTS : PairedRound.Note.NOBODY_LEFT, alone)));
        }
        List<PairedRound.Why> why = new ArrayList<>();
        if (group.size() > 2) {
            why.add(new PairedRound.Why(PairedRound.Note.THREE, Optional.empty(), Optional.empty()));
        }
        for (int i = 0; i < group.size(); i++) {
            for (int j = i + 1; j < group.size(); j++) {
                costs.why(wish, group.get(i), group.get(j)).stream()
                        .filter(note -> group.size() == 2 || note.note() == PairedRound.Note.OVER_LIMIT || note.note() == PairedRound.Note.FEEDS)
                        .filter(note -> !why.contains(note)).forEach(why::add);
            }
        }
        return new PairedRound.Group(who, why);
    }

    private PairedRound joined(RoundWish wish, PairedRound round, UUID late) {
        Student one = Optional.ofNullable(students.get(late))
                .orElseThrow(() -> new RefusedException("Whoever comes late is not among those who are here; add them first."));
        if (round.groups().stream().anyMatch(group -> group.who().contains(late))) {
            throw new RefusedException("%s is in this round already.".formatted(one.person().name()));
        }
        List<List<Student>> groups = new ArrayList<>();
        round.groups().forEach(group -> groups.add(group.who().stream().map(students::get).filter(s -> s != null).toList()));
        groups.removeIf(List::isEmpty);
        Optional<List<Student>> resting = groups.stream().filter(group -> group.size() == 1 && costs.may(wish, one, group.get(0)))
                .min(Comparator.comparing(group -> costs.of(wish, one, group.get(0))));
        Optional<List<Student>> three = groups.stream().filter(group -> group.size() == 3).findFirst();
        if (resting.isPresent()) {
            groups.set(groups.indexOf(resting.get()), List.of(resting.get().get(0), one));
        } else if (three.flatMap(group -> split(wish, group, one)).isPresent()) {
            List<List<Student>> two = split(wish, three.get(), one).get();
            groups.set(groups.indexOf(three.get()), two.get(0));
            groups.add(two.get(1));
        } else {
            Optional<List<Student>> pair = request.odd() == PairRequest.Odd.REST ? Optional.empty() : third(wish, groups, one);
            pair.ifPresentOrElse(group -> groups.set(groups.indexOf(group), with(group, one)), () -> groups.add(List.of(one)));
        }
        return explained(wish, groups);
    }

    /** A three and one more as two pairs, at the least cost; empty where they may not. */
    private Optional<List<List<Student>>> split(RoundWish wish, List<Student> three, Student one) {
        return three.stream().filter(partner -> costs.may(wish, one, partner)).map(partner -> {
            List<Student> rest = three.stream().filter(other -> other != partner).toList();
            return List.of(rest, List.of(partner, one));
        }).filter(two -> costs.may(wish, two.get(0).get(0), two.get(0).get(1)))
                .min(Comparator.comparing(two -> group(wish, two.get(0)) + group(wish, two.get(1))));
    }

    private boolean meetsAgain(List<PairedRound> rounds) {
        Set<Couple> met = new HashSet<>();
        return rounds.stream().flatMap(round -> round.groups().stream()).filter(group -> group.who().size() == 2)
                .map(group -> new Couple(group.who().get(0), group.who().get(1)))
                .anyMatch(couple -> !request.together().contains(couple) && !met.add(couple));
    }

    /** The rounds of a tournament in which everybody meets everybody once, where it costs less than {@code most}. */
    private Optional<List<PairedRound>> tournament(long most) {
        costs.forget();
        boolean mixed = students.values().stream().map(student -> student.person().age()).distinct().count() > 1;
        int n = students.size() + students.size() % 2;
        if (mixed || !request.together().isEmpty() || request.rounds().size() > n - 1) {
            return Optional.empty();
        }
        List<Student> all = new ArrayList<>(students.values());
        List<PairedRound> rounds = new ArrayList<>();
        long cost = 0;
        for (int r = 0; r < request.rounds().size(); r++) {
            RoundWish wish = request.rounds().get(r);
            List<List<Student>> groups = new ArrayList<>();
            List<Student> left = new ArrayList<>();
            for (int i = 0; i < n / 2; i++) {
                int one = i == 0 ? n - 1 : (r + i) % (n - 1);
                int other = (r - i + n - 1) % (n - 1);
                boolean pair = one < all.size() && other < all.size();
                if (pair) {
                    groups.add(List.of(all.get(Math.min(one, other)), all.get(Math.max(one, other))));
                } else {
                    left.add(all.get(Math.min(one, other)));
                }
            }
            PairedRound round = explained(wish, withLeft(wish, groups, left));
            cost += cost(wish, round);
            costs.count(round);
            rounds.add(round);
        }
        return cost < most ? Optional.of(rounds) : Optional.empty();
    }
}
