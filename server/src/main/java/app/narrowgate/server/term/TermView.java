package app.narrowgate.server.term;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.lesson.Student;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.term.Halves;
import app.narrowgate.core.term.Missed;
import app.narrowgate.core.term.TermPlan;
import app.narrowgate.core.term.TermStudent;
import app.narrowgate.server.lesson.TermLessons;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A term with what comes of it. */
@Schema(name = "PlannedTerm")
record TermView(UUID id, int version, String title, LocalDate first, LocalDate last, List<ClassView> classes,
        @Schema(description = "Whom it is planned for, in the roster's order") List<PersonView> people,
        @Nullable @Schema(description = "Missing while nobody trains") PlanView plan,
        @Schema(description = "How many of the last classes to come are planned only when their turn comes") int later) {

    /** One of its classes. */
    @Schema(name = "TermClass")
    record ClassView(UUID id, int version, String title, LocalDate day, String starts, int minutes, @Nullable String family, @Nullable String place,
            @Schema(description = "True where it was run or its day is over") boolean over,
            @Schema(description = "True where it was run to its end") boolean ran,
            @Schema(description = "Who was there, or is down for it") List<UUID> here,
            @Schema(description = "What came in it or is planned, without the parts that frame it") List<UnitView> units,
            @Schema(description = "New and recalled units that were planned and did not come; empty where it was not run") List<String> dropped,
            @Schema(description = "New and recalled units that whoever teaches it has fixed") List<String> fixed,
            @Schema(description = "Units that the term asks for, the most important first") List<String> asked) {
    }

    /** Something that came in a class or is planned in it. */
    @Schema(name = "TermUnit")
    record UnitView(String unit, @Schema(allowableValues = {"warm-up", "recall", "new", "chain", "called", "live", "talk"}) String section, int minutes) {
    }

    /** Somebody who trains. */
    @Schema(name = "TermPerson")
    record PersonView(UUID person, @Schema(description = "How often they come, in [0,1]") double comes) {
    }

    /** What is taught when, and what is left of it at the end. */
    @Schema(name = "TermPlan")
    record PlanView(List<TaughtView> taught, @Schema(description = "Chance to come out for somebody whom no class has moved, in [0,1]") double now,
            @Schema(description = "At the end of the term, for what the classes before have left") double without,
            @Schema(description = "At the end of the term, with what is planned") double end, List<LeftOutView> leftOut, List<PairView> pairs,
            List<MissedView> missed) {
    }

    /** One answer over the weeks. */
    @Schema(name = "TermTaught")
    record TaughtView(String reaction, @Schema(description = "The coming classes in which it comes") List<UUID> classes, boolean fresh,
            @Schema(description = "Share of those for whom it is open who have it at the end, in [0,1]") double remembered,
            @Schema(description = "The same without what is planned") double otherwise, double gain) {
    }

    /** Something that found no place. */
    @Schema(name = "TermLeftOut")
    record LeftOutView(String reaction, @Schema(allowableValues = {"no-class", "no-room", "needs-another"}) String reason, double gain,
            @Nullable String needs) {
    }

    /** Answers that belong together, and who has seen what of them. */
    @Schema(name = "TermPair")
    record PairView(@Schema(allowableValues = {"look-alikes", "first-and-then", "one-place"}) String kind, String one, String other, List<SeenView> people) {
    }

    /** What somebody has seen of a pair. */
    @Schema(name = "TermSeen")
    record SeenView(UUID person, boolean seenOne, boolean seenOther,
            @Schema(description = "Chance that they have seen both at the end, coming as often as they do") double both) {
    }

    /** Something that was taught and that some have missed. */
    @Schema(name = "TermMissed")
    record MissedView(String reaction, LocalDate taught, List<UUID> who, @Nullable @Schema(description = "The class in which it comes again") UUID next,
            @Nullable @Schema(description = "Who can show it") UUID helper) {
    }

    static TermView of(TermRow row, TermPlans.Planned planned, LocalDate today) {
        List<UUID> coming = planned.coming().stream().map(TermLessons.Dated::id).toList();
        return new TermView(row.id(), row.version(), row.title(), row.firstDay(), row.lastDay(),
                planned.classes().stream().map(one -> classView(one, today)).toList(),
                planned.students().stream().map(one -> new PersonView(one.student().id(), planned.attendance().comes(one.student().id()))).toList(),
                planned.plan().map(plan -> planView(plan, planned, coming)).orElse(null),
                (int) planned.classes().stream().filter(one -> !one.isOver(today)).count() - coming.size());
    }

    private static ClassView classView(TermLessons.Dated one, LocalDate today) {
        List<UnitView> units = one.lesson().asItWas().stream().filter(unit -> unit.section().practises())
                .map(unit -> new UnitView(unit.unit(), unit.section().code(), unit.minutes())).toList();
        List<String> fixed = one.lesson().fixed().keySet().stream().filter(TermView::isTaught).toList();
        List<String> dropped = one.lesson().came().isEmpty() ? List.of() : one.lesson().planned().stream().map(Lesson.Planned::unit)
                .filter(key -> isTaught(key) && one.lesson().came().stream().noneMatch(came -> came.unit().equals(key))).toList();
        List<String> asked = one.lesson().term().stream().filter(key -> !fixed.contains(key) && !one.lesson().out().contains(key)).toList();
        return new ClassView(one.id(), one.version(), one.lesson().title(), one.lesson().day(), one.lesson().starts().toString(), one.lesson().minutes(),
                one.lesson().focus().family().map(Id::value).orElse(null), one.lesson().focus().place().map(Id::value).orElse(null),
                one.isOver(today), !one.lesson().came().isEmpty(), one.lesson().here(), units, dropped, fixed, asked);
    }

    private static boolean isTaught(String unit) {
        return unit.startsWith(Section.NEW.code() + ":") || unit.startsWith(Section.RECALL.code() + ":");
    }

    private static PlanView planView(TermPlan plan, TermPlans.Planned planned, List<UUID> coming) {
        List<UUID> people = planned.students().stream().map(TermStudent::student).map(Student::id).toList();
        return new PlanView(plan.taught().stream().map(one -> new TaughtView(one.reaction().value(), one.classes().stream().map(coming::get).toList(),
                one.fresh(), one.remembered(), one.otherwise(), one.gain())).toList(), plan.now(), plan.without(), plan.end(),
                plan.leftOut().stream().map(one -> new LeftOutView(one.reaction().value(), one.reason().code(), one.gain(),
                        one.needs().map(Id::value).orElse(null))).toList(),
                planned.pairs().entrySet().stream().map(each -> pairView(each, people)).toList(),
                planned.missed().stream().map(one -> missedView(one, coming)).toList());
    }

    private static PairView pairView(Map.Entry<Halves.Pair, List<Halves.Seen>> each, List<UUID> people) {
        List<SeenView> seen = new ArrayList<>();
        for (int i = 0; i < people.size(); i++) {
            Halves.Seen one = each.getValue().get(i);
            seen.add(new SeenView(people.get(i), one.seenOne(), one.seenOther(), one.both()));
        }
        return new PairView(each.getKey().kind().code(), each.getKey().one().value(), each.getKey().other().value(), seen);
    }

    private static MissedView missedView(Missed one, List<UUID> coming) {
        Optional<UUID> next = one.next().map(coming::get);
        return new MissedView(one.reaction().value(), one.taught(), one.who(), next.orElse(null), one.helper().orElse(null));
    }
}
