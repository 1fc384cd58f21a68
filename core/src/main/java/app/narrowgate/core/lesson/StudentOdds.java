package app.narrowgate.core.lesson;

import app.narrowgate.core.advice.AdjointSensitivity;
import app.narrowgate.core.drill.Dial;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.Proposals;
import app.narrowgate.core.drill.WhoMay;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.LinkRef;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Injury;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/** What a map says of one student: what they may practise and what it gains them. For several threads. */
public final class StudentOdds {

    /**
     * A map solved for a kind of student, shared by all of that kind.
     *
     * @param slopes reaction to the worth of this class's starts gained per 1 of its working, at least 0
     */
    record Solved(PracticeGraph graph, double[] starts, double now, Map<Id, Double> slopes, Map<LinkRef, WhoMay.Verdict> verdicts) {

        static Solved of(SolvedMap solved, Focus focus) {
            double[] starts = focus.starts(solved);
            Map<Id, Double> slopes = new HashMap<>();
            AdjointSensitivity.of(solved, starts).reactions().forEach(r -> slopes.put(r.reaction(), Math.max(0, r.perWorks())));
            return new Solved(PracticeGraph.of(solved, HouseTimes.USUAL), starts, solved.startWorth(starts), slopes, new ConcurrentHashMap<>());
        }
    }

    private final Student student;
    private final Setting setting;
    private final Solved solved;
    private final LearningCurve curve;

    private StudentOdds(Student student, Setting setting, Solved solved) {
        this.student = student;
        this.setting = setting;
        this.solved = solved;
        this.curve = LearningCurve.of(student.level());
    }

    /**
     * What a map says of each of those who train together, everybody under the average of the others; solved once for each kind of student.
     *
     * @param focus whose starts are weighed
     * @param solve gives the map under a setting, solved
     */
    public static List<StudentOdds> of(List<Student> students, Focus focus, Setting house, Function<Setting, SolvedMap> solve) {
        Map<Setting, Solved> kinds = new HashMap<>();
        return students.stream().map(student -> {
            Setting setting = house.withMatchup(Typical.matchup(student, students, house.matchup()));
            return new StudentOdds(student, setting, kinds.computeIfAbsent(setting, s -> Solved.of(solve.apply(s).converged(), focus)));
        }).toList();
    }

    public Student student() {
        return student;
    }

    /** Under what their map is solved. */
    Setting setting() {
        return setting;
    }

    /** Worth in [0,1] of this class's starts for them, before anything is practised. */
    public double now() {
        return solved.now();
    }

    /** What becomes of a link for them. */
    WhoMay.Verdict verdict(LinkRef link) {
        return solved.verdicts().computeIfAbsent(link, one -> WhoMay.of(solved.graph(), List.of(one)).get(0));
    }

    /** What hurts them so that they are not below in a dial. */
    Set<Injury> minds(Unit unit) {
        return unit.isDialled() ? Dial.minds(solved.graph().solved().index(), unit.place().orElseThrow(), student.hurt()) : Set.of();
    }

    /** True where they practise at least a part of {@code unit} as it is. */
    boolean practises(Unit unit) {
        if (!minds(unit).isEmpty()) {
            return false;
        }
        return unit.links().isEmpty() || unit.links().stream().anyMatch(link -> verdict(link).stays());
    }

    /** Minutes of practice that count on each reaction of {@code unit} when it is given so many; none where they do not practise it. */
    Map<Id, Double> counted(Unit unit, int minutes) {
        Map<Id, Double> counted = new HashMap<>();
        if (!practises(unit)) {
            return counted;
        }
        unit.shares().forEach((id, share) -> {
            if (unit.links().stream().anyMatch(link -> link.reaction().equals(id) && verdict(link).stays())) {
                counted.put(id, unit.practised(minutes) * share * student.freshness(id));
            }
        });
        return counted;
    }

    /** True where the map has a reaction. */
    public boolean knows(Id reaction) {
        return solved.graph().solved().index().reaction(reaction).isPresent();
    }

    /** Worth of the starts gained per 1 of a reaction's working, at least 0; 0 where it is closed or taught later. */
    public double slope(Id reaction) {
        return solved.slopes().getOrDefault(reaction, 0.0);
    }

    /** How often a reaction gets going once it is known, as the map has it, in [0,1]. */
    public double written(Id reaction) {
        return solved.graph().solved().rates().works(reaction(reaction));
    }

    /** Chance in [0,1] that a reaction which the map writes down with {@code written} gets going for them. */
    public double works(Id reaction, double written) {
        return solved.graph().solved().conditions().works(reaction(reaction), written);
    }

    /** Chance in [0,1] that a reaction gets going for them now. */
    double works(Id reaction) {
        return solved.graph().solved().conditions().works(reaction(reaction));
    }

    /** The same after so many minutes that count. */
    double worksAfter(Id reaction, double counted) {
        return after(reaction(reaction), written(reaction), counted);
    }

    /** Worth of the starts that so many minutes on one reaction would gain them, to first order; 0 where it is closed or taught later. */
    public double promise(Id reaction, double minutes) {
        double slope = slope(reaction);
        return slope > 0 ? slope * (worksAfter(reaction, minutes * student.freshness(reaction)) - works(reaction)) : 0;
    }

    /**
     * Worth of the starts that {@code unit} gains them, to first order, at least 0.
     *
     * @return for 0 to {@code most} minutes, index minutes
     */
    double[] gains(Unit unit, int most) {
        double[] gains = new double[most + 1];
        if (!practises(unit)) {
            return gains;
        }
        for (Id id : counted(unit, most).keySet()) {
            double slope = slope(id);
            double each = unit.shares().get(id) * student.freshness(id);
            Reaction reaction = reaction(id);
            double written = solved.graph().solved().rates().works(reaction);
            double works = works(id);
            for (int minutes = 1; minutes <= most && slope > 0; minutes++) {
                gains[minutes] += slope * (after(reaction, written, unit.practised(minutes) * each) - works);
            }
        }
        for (int minutes = 1; minutes <= most; minutes++) {
            gains[minutes] += apart(unit, minutes);
        }
        return gains;
    }

    private double after(Reaction reaction, double written, double counted) {
        return solved.graph().solved().conditions().works(reaction, curve.after(written, counted));
    }

    /** Worth gained by no longer taking one of two look-alikes for the other. */
    double apart(Unit unit, int minutes) {
        return unit.apart().filter(pair -> practises(unit))
                .map(pair -> Proposals.MIXED_UP * pair.price() * (1 - curve.left(unit.practised(minutes)))).orElse(0.0);
    }

    /** Worth of the starts when the reactions were practised for so many minutes that count. */
    double after(Map<Id, Double> counted) {
        Map<Id, Double> works = new HashMap<>();
        counted.forEach((id, minutes) -> {
            if (minutes > 0) {
                works.put(id, curve.after(written(id), minutes));
            }
        });
        return worth(works);
    }

    /** Worth in [0,1] of the starts when the map wrote these figures down for those reactions; one solve. */
    public double worth(Map<Id, Double> works) {
        SolvedMap before = solved.graph().solved();
        return works.isEmpty() ? now() : before.by(before.rates().working(works)).startWorth(solved.starts());
    }

    private Reaction reaction(Id id) {
        return solved.graph().solved().index().reaction(id).orElseThrow();
    }
}
