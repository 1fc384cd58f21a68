package app.narrowgate.core.lesson;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.SoloPlan;
import app.narrowgate.core.drill.SoloPlanner;
import app.narrowgate.core.drill.WhoMay;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.odds.Closing;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Side;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Plans a class: finds what there is to practise ({@link Units}), asks what it gains everybody who is here, shares out the
 * minutes ({@link MinutesPlanner}), and solves every student's map once more for what the whole gains. First order in the choosing, solved
 * in the sum. Deterministic. Cost: two solves a student, and the sharing once, and once more for each unit whose leaving out is told.
 */
public final class ClassPlanner {

    /** Whoever is to move up shows it before they are tired. */
    private static final Comparator<Unit> GATES_FIRST = Comparator.comparing(unit -> !unit.isGate());

    /** Minutes at which units are compared before they are given any. */
    private static final int COMPARED_AT = 6;
    /** Share of the best that something new of the focus must promise, so that nothing else is looked for. */
    private static final double WORTH_MUCH = 0.1;
    private static final int MOST_LEFT_OUT = 6;
    private static final int MOST_LEFT_OUT_OF_A_PART = 2;

    private final ClassRequest request;
    private final SolvedMap solved;
    private final List<StudentOdds> students;
    private final List<Unit> units;
    private final Set<Id> known;
    private Optional<Unit> owed;
    /** What has to come: what is fixed, and of what was wished for as much as there is room for. */
    private Map<String, Optional<Integer>> asked;
    /** By the unit itself: it is asked for in the innermost loop. */
    private final Map<Unit, double[][]> gains = new IdentityHashMap<>();

    private ClassPlanner(ClassRequest request, Setting house, Function<Setting, SolvedMap> solve) {
        this.request = request;
        this.solved = solve.apply(house.withMatchup(Typical.of(request.students(), house.matchup()))).converged();
        this.students = StudentOdds.of(request.students(), request.focus(), house, solve);
        this.known = Student.known(request.students());
        PracticeGraph graph = PracticeGraph.of(solved, HouseTimes.USUAL);
        this.units = new ArrayList<>(Units.of(graph, request.focus(), promising(), known, request.lately(),
                Stream.concat(request.fixed().keySet().stream(), request.wished().stream()).toList()));
        units.add(0, Unit.frame(Section.WARM_UP));
        units.add(Unit.frame(Section.TALK));
        units.forEach(unit -> gains.put(unit, gains(unit)));
        this.owed = owed();
        this.asked = request.fixed();
    }

    /**
     * The class that gains most.
     *
     * @param house under what the house reckons; everybody's own size, level and injuries take the place of its matchup's
     * @param solve gives the map under a setting, solved
     * @throws RefusedException when nobody is here, the focus is not on the map or holds nothing, or what is fixed does not fit
     */
    public static ClassPlan plan(ClassRequest request, Setting house, Function<Setting, SolvedMap> solve) {
        if (request.students().isEmpty()) {
            throw new RefusedException("Nobody is here yet; say who is, and the class is worked out for them.");
        }
        return new ClassPlanner(request, house, solve).plan();
    }

    /**
     * Reactions that gain somebody something if they are practised, most first: those of the focus, and, where it holds too few that are
     * new and worth much, some of those that its rounds lead to.
     */
    private List<Id> promising() {
        Map<Id, Double> promise = new LinkedHashMap<>();
        for (Reaction reaction : solved.map().reactions()) {
            double sum = students.stream().mapToDouble(student -> student.promise(reaction.id(), COMPARED_AT)).sum();
            if (sum > 0) {
                promise.put(reaction.id(), sum);
            }
        }
        List<Id> all = promise.keySet().stream().sorted(Comparator.comparingDouble((Id id) -> promise.get(id)).reversed()).toList();
        List<Id> own = all.stream().filter(this::isOfFocus).toList();
        double much = own.isEmpty() ? 0 : WORTH_MUCH * promise.get(own.get(0));
        long fresh = own.stream().filter(id -> !known.contains(id) && promise.get(id) >= much).count();
        List<Id> others = all.stream().filter(id -> !isOfFocus(id) && !known.contains(id)).limit(Math.max(0, NewLinks.MOST - fresh)).toList();
        return Stream.concat(own.stream(), others.stream()).toList();
    }

    private boolean isOfFocus(Id reaction) {
        return request.focus().holds(solved.index().situation(solved.index().reaction(reaction).orElseThrow().from()).orElseThrow());
    }

    /**
     * What has to be recalled because somebody missed it: of the class before the first that is still on the map and that they have not
     * practised otherwise; empty where nobody missed anything, it was taken out, or the shape has no recall.
     */
    private Optional<Unit> owed() {
        return request.shape().of(Section.RECALL).most() == 0 ? Optional.empty()
                : request.lately().stream().filter(id -> request.students().stream().anyMatch(s -> s.missed() && !s.practised().containsKey(id)))
                .flatMap(id -> units.stream().filter(unit -> unit.key().equals(Section.RECALL.code() + ":" + id)))
                .filter(unit -> !isForFew(unit)).findFirst().filter(unit -> !request.out().contains(unit.key()));
    }

    /** Summed gain by new links that came before and by minutes, as many as the unit may be given. */
    private double[][] gains(Unit unit) {
        int most = Math.max(COMPARED_AT, request.fixed().getOrDefault(unit.key(), Optional.empty())
                .orElse(Math.min(request.minutes(), unit.section().mostOnOne(request.minutes()))));
        double[][] sums = new double[NewLinks.MOST + 1][most + 1];
        for (StudentOdds student : unit.section().practises() ? students : List.<StudentOdds>of()) {
            double[] own = student.gains(unit, most);
            for (int before = 0; before <= NewLinks.MOST && joins(unit, student, before); before++) {
                for (int minutes = 1; minutes <= most; minutes++) {
                    sums[before][minutes] += own[minutes];
                }
            }
        }
        return sums;
    }

    private static boolean joins(Unit unit, StudentOdds student, int before) {
        return unit.section() != Section.NEW || before < NewLinks.of(student.student().level());
    }

    private ClassPlan plan() {
        Map<Unit, Integer> given = share(request.fixed());
        List<ClassPlan.Line> lines = lines(given);
        double now = students.stream().mapToDouble(StudentOdds::now).average().orElse(0);
        List<Section> empty = new ArrayList<>();
        for (Section section : Section.values()) {
            if (request.shape().of(section).most() > 0 && units.stream().noneMatch(unit -> unit.section() == section)) {
                empty.add(section);
            }
        }
        Set<String> keys = new HashSet<>(units.stream().map(Unit::key).toList());
        List<String> gone = request.fixed().keySet().stream().filter(key -> !keys.contains(key)).toList();
        return new ClassPlan(lines, request.only() ? List.of() : leftOut(given, lines), now, after(lines), warmUp(lines), empty, gone);
    }

    /** Minutes of every unit that comes, in the order of the class; what is owed gives way where it does not fit, then what was wished for last. */
    private Map<Unit, Integer> share(Map<String, Optional<Integer>> fixed) {
        if (request.only()) {
            Map<Unit, Integer> given = new LinkedHashMap<>();
            for (Section section : Section.values()) {
                preorder(units.stream().filter(unit -> unit.section() == section && fixed.containsKey(unit.key())).sorted(GATES_FIRST).toList())
                        .forEach(unit -> fixed.get(unit.key()).ifPresent(minutes -> given.put(unit, minutes)));
            }
            return given;
        }
        Deque<String> wished = new ArrayDeque<>(request.wished().stream().filter(key -> units.stream()
                .anyMatch(unit -> unit.key().equals(key) && mayCome(unit) && request.shape().of(unit.section()).most() > 0)).toList());
        while (true) {
            asked = new LinkedHashMap<>();
            wished.forEach(key -> asked.put(key, Optional.empty()));
            asked.putAll(fixed);
            try {
                return shared(asked);
            } catch (RefusedException noRoom) {
                if (owed.isPresent()) {
                    owed = Optional.empty();
                } else if (wished.pollLast() == null) {
                    throw noRoom;
                }
            }
        }
    }

    private Map<Unit, Integer> shared(Map<String, Optional<Integer>> fixed) {
        List<List<Unit>> ordered = new ArrayList<>();
        List<MinutesPlanner.Part> parts = new ArrayList<>();
        for (Section section : Section.values()) {
            List<Unit> own = preorder(units.stream().filter(unit -> unit.section() == section)
                    .filter(unit -> fixed.containsKey(unit.key()) || mayCome(unit)).sorted(GATES_FIRST).toList());
            ordered.add(own);
            parts.add(part(section, own, fixed));
        }
        MinutesPlanner.Shared shared = MinutesPlanner.share(parts, request.minutes());
        Map<Unit, Integer> given = new LinkedHashMap<>();
        for (int part = 0; part < ordered.size(); part++) {
            for (int i = 0; i < ordered.get(part).size(); i++) {
                if (shared.minutes()[part][i] > 0) {
                    given.put(ordered.get(part).get(i), shared.minutes()[part][i]);
                }
            }
        }
        return given;
    }

    /** False for what was taken out, for what too few would practise, and for what needs one of these. */
    private boolean mayCome(Unit unit) {
        return !request.out().contains(unit.key()) && !isForFew(unit)
                && units.stream().filter(other -> isNeeded(unit, other)).allMatch(this::mayCome);
    }

    private boolean isForFew(Unit unit) {
        return 2 * students.stream().filter(student -> student.practises(unit)).count() < students.size();
    }

    private static boolean isNeeded(Unit unit, Unit other) {
        return other.section() == Section.NEW && unit.needs().filter(other.shares()::containsKey).isPresent();
    }

    private MinutesPlanner.Part part(Section section, List<Unit> own, Map<String, Optional<Integer>> fixed) {
        ClassShape.Span span = request.shape().of(section);
        List<MinutesPlanner.Item> items = new ArrayList<>();
        int onOne = Math.min(section.mostOnOne(request.minutes()), request.minutes());
        List<String> keys = own.stream().map(Unit::key).toList();
        for (Unit unit : own) {
            Optional<Integer> minutes = fixed.getOrDefault(unit.key(), Optional.empty());
            boolean must = fixed.containsKey(unit.key()) || owed.filter(unit::equals).isPresent() || !section.practises() && span.most() > 0;
            int root = unit.needs().map(id -> keys.indexOf(Section.NEW.code() + ":" + id)).orElse(-1);
            double[][] gain = gains.get(unit);
            items.add(new MinutesPlanner.Item(minutes.orElse(least(unit)), minutes.orElse(onOne),
                    root, must, (m, before) -> gain[Math.min(before, NewLinks.MOST)][Math.min(m, gain[0].length - 1)]));
        }
        Set<Integer> asked = asked(items, keys, fixed.keySet());
        int units = Math.max(units(section), asked.size());
        int least = asked.stream().mapToInt(i -> items.get(i).least()).sum();
        // What there is may fill less than the shape asks for, and what is fixed more than it allows: the class is planned all the same.
        int fills = items.stream().map(MinutesPlanner.Item::most).sorted(Comparator.reverseOrder()).limit(units).mapToInt(m -> m).sum();
        return new MinutesPlanner.Part(Math.min(span.least(), fills), items.isEmpty() ? 0 : Math.max(span.most(), least), units, items);
    }

    private static int least(Unit unit) {
        return unit.isGate() ? ClassShape.LEAST_GATE : unit.section().practises() ? ClassShape.LEAST_UNIT : 1;
    }

    /** The numbers of what is fixed, and of what that needs. */
    private static Set<Integer> asked(List<MinutesPlanner.Item> items, List<String> keys, Set<String> fixed) {
        Set<Integer> asked = new HashSet<>();
        for (String key : fixed) {
            for (int i = keys.indexOf(key); i >= 0; i = items.get(i).root()) {
                asked.add(i);
            }
        }
        return asked;
    }

    /** Units that a part holds at most: of new ones no more than anybody here is given. */
    private int units(Section section) {
        return section == Section.NEW
                ? students.stream().mapToInt(student -> NewLinks.of(student.student().level())).max().orElse(NewLinks.MOST)
                : section.mostUnits();
    }

    /** What needs another right behind what it needs, else as it was. */
    private static List<Unit> preorder(List<Unit> units) {
        List<Unit> ordered = new ArrayList<>();
        Set<Id> there = new HashSet<>();
        units.forEach(unit -> there.addAll(unit.section() == Section.NEW ? unit.shares().keySet() : Set.of()));
        for (Unit unit : units) {
            if (unit.needs().filter(there::contains).isEmpty()) {
                addWithThoseBelow(unit, units, ordered);
            }
        }
        return ordered;
    }

    private static void addWithThoseBelow(Unit unit, List<Unit> units, List<Unit> ordered) {
        ordered.add(unit);
        for (Unit other : units) {
            if (other.needs().filter(unit.shares()::containsKey).isPresent()) {
                addWithThoseBelow(other, units, ordered);
            }
        }
    }

    private List<ClassPlan.Line> lines(Map<Unit, Integer> given) {
        List<ClassPlan.Line> lines = new ArrayList<>();
        int from = 0;
        int before = 0;
        for (Map.Entry<Unit, Integer> each : given.entrySet()) {
            lines.add(line(each.getKey(), from, each.getValue(), before));
            from += each.getValue();
            before += each.getKey().section() == Section.NEW ? 1 : 0;
        }
        return lines;
    }

    private ClassPlan.Line line(Unit unit, int from, int minutes, int before) {
        List<StudentOdds> who = new ArrayList<>();
        List<ClassPlan.Not> not = new ArrayList<>();
        for (StudentOdds student : students) {
            Optional<ClassPlan.Not> why = why(unit, student, before);
            why.ifPresentOrElse(not::add, () -> who.add(student));
        }
        boolean fromLast = unit.section() == Section.RECALL && request.lately().containsAll(unit.shares().keySet());
        List<UUID> missed = who.stream().map(StudentOdds::student).filter(s -> fromLast && s.missed() && !hasPractised(s, unit)).map(Student::id).toList();
        Optional<UUID> helper = missed.isEmpty() ? Optional.empty() : who.stream().map(StudentOdds::student)
                .filter(s -> !missed.contains(s.id()) && hasPractised(s, unit))
                .max(Comparator.comparing(Student::level).thenComparing(s -> s.person().name(), Comparator.reverseOrder())).map(Student::id);
        int practisedBy = (int) students.stream().filter(s -> unit.section().practises() && hasPractised(s.student(), unit)).count();
        double gain = gains.get(unit)[Math.min(before, NewLinks.MOST)][minutes] / students.size();
        return new ClassPlan.Line(unit, from, minutes, request.fixed().containsKey(unit.key()), gain, who.stream().map(s -> s.student().id()).toList(),
                not, missed, helper, fromLast, works(unit, who, 0), works(unit, who, minutes), practisedBy);
    }

    private static boolean hasPractised(Student student, Unit unit) {
        return student.practised().keySet().containsAll(unit.shares().keySet());
    }

    private static Optional<ClassPlan.Not> why(Unit unit, StudentOdds student, int before) {
        UUID id = student.student().id();
        if (!student.practises(unit)) {
            List<WhoMay.Verdict> verdicts = unit.links().stream().map(student::verdict).toList();
            List<Closing> closings = Stream.concat(student.minds(unit).stream().map(hurt -> new Closing(Closing.Kind.INJURY, hurt.code())),
                    verdicts.stream().flatMap(verdict -> verdict.because().stream())).distinct().toList();
            return Optional.of(new ClassPlan.Not(id, closings.isEmpty() ? ClassPlan.Because.ABOVE_LEVEL : ClassPlan.Because.CLOSED, closings));
        }
        return joins(unit, student, before) ? Optional.empty() : Optional.of(new ClassPlan.Not(id, ClassPlan.Because.ENOUGH_NEW, List.of()));
    }

    private static Optional<Double> works(Unit unit, List<StudentOdds> who, int minutes) {
        OptionalDouble mean = who.stream().flatMapToDouble(student -> student.counted(unit, minutes).entrySet().stream()
                .mapToDouble(each -> student.worksAfter(each.getKey(), each.getValue()))).average();
        return mean.isPresent() ? Optional.of(mean.getAsDouble()) : Optional.empty();
    }

    /** Everybody's map solved again with all that they practise. */
    private double after(List<ClassPlan.Line> lines) {
        double sum = 0;
        for (StudentOdds student : students) {
            Map<Id, Double> counted = new HashMap<>();
            double apart = 0;
            for (ClassPlan.Line line : lines) {
                if (line.who().contains(student.student().id())) {
                    student.counted(line.unit(), line.minutes()).forEach((id, minutes) -> counted.merge(id, minutes, Double::sum));
                    apart += student.apart(line.unit(), line.minutes());
                }
            }
            sum += student.after(counted) + apart;
        }
        return sum / students.size();
    }

    private Optional<SoloPlan> warmUp(List<ClassPlan.Line> lines) {
        int minutes = lines.stream().filter(line -> line.unit().section() == Section.WARM_UP).mapToInt(ClassPlan.Line::minutes).sum();
        Set<Id> techniques = new LinkedHashSet<>();
        lines.forEach(line -> line.unit().links().stream().map(LinkRef::reaction)
                .map(id -> solved.index().reaction(id).orElseThrow().technique()).forEach(techniques::add));
        boolean moves = techniques.stream().flatMap(id -> solved.index().technique(id).stream()).map(Technique::movements)
                .anyMatch(movements -> !movements.isEmpty());
        if (minutes < SoloPlanner.MINUTES.low() || !moves) {
            return Optional.empty();
        }
        long right = request.students().stream().filter(s -> s.person().strong().equals(Optional.of(Side.RIGHT))).count();
        long left = request.students().stream().filter(s -> s.person().strong().equals(Optional.of(Side.LEFT))).count();
        return Optional.of(SoloPlanner.behind(solved, techniques, Math.min(minutes, SoloPlanner.MINUTES.high()), left > right ? Side.RIGHT : Side.LEFT));
    }

    /** Of what does not come the most promising, with what the class would lose by it. */
    private List<ClassPlan.LeftOut> leftOut(Map<Unit, Integer> given, List<ClassPlan.Line> lines) {
        double whole = lines.stream().mapToDouble(ClassPlan.Line::gain).sum();
        Map<Section, Integer> told = new EnumMap<>(Section.class);
        return units.stream().filter(unit -> unit.section().practises() && !given.containsKey(unit))
                .filter(unit -> request.shape().of(unit.section()).most() > 0 && gains.get(unit)[0][COMPARED_AT] > 0)
                .sorted(Comparator.comparingDouble((Unit unit) -> gains.get(unit)[0][COMPARED_AT]).reversed())
                .filter(unit -> told.merge(unit.section(), 1, Integer::sum) <= MOST_LEFT_OUT_OF_A_PART)
                .limit(MOST_LEFT_OUT).map(unit -> leftOut(unit, given, whole)).toList();
    }

    private ClassPlan.LeftOut leftOut(Unit unit, Map<Unit, Integer> given, double whole) {
        Map<String, Optional<Integer>> with = new LinkedHashMap<>(asked);
        with.put(unit.key(), Optional.empty());
        Optional<Id> needs = unit.needs().filter(id -> given.keySet().stream()
                .noneMatch(other -> other.section() == Section.NEW && other.shares().containsKey(id)));
        long fresh = given.keySet().stream().filter(other -> other.section() == Section.NEW).count();
        ClassPlan.Reason reason = request.out().contains(unit.key()) ? ClassPlan.Reason.TAKEN_OUT
                : isForFew(unit) ? ClassPlan.Reason.FEW
                : needs.isPresent() ? ClassPlan.Reason.NEEDS_ANOTHER
                : unit.section() == Section.NEW && fresh >= units(Section.NEW) ? ClassPlan.Reason.ENOUGH_NEW : ClassPlan.Reason.TIME;
        try {
            Map<Unit, Integer> other = shared(with);
            double sum = lines(other).stream().mapToDouble(ClassPlan.Line::gain).sum();
            int minutes = other.get(unit);
            return new ClassPlan.LeftOut(unit, reason, minutes, gains.get(unit)[0][minutes] / students.size(),
                    Optional.of(Math.max(0, whole - sum)), needs);
        } catch (RefusedException noRoom) {
            return new ClassPlan.LeftOut(unit, reason, COMPARED_AT, gains.get(unit)[0][COMPARED_AT] / students.size(), Optional.empty(), needs);
        }
    }
}
