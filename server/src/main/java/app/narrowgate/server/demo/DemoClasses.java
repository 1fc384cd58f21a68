package app.narrowgate.server.demo;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Couple;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.term.Term;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.LessonStore;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.term.TermStore;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** A term of classes at the demo gym, some weeks of it over, one of them tonight. */
@Component
@Order(7)
class DemoClasses implements DemoPart {

    private static final double READ = 0.25;
    private static final double LATE = 0.5;

    private final Accounts accounts;
    private final MapShelf shelf;
    private final MapStore maps;
    private final People people;
    private final LessonStore lessons;
    private final TermStore terms;
    private final Clock clock;

    DemoClasses(Accounts accounts, MapShelf shelf, MapStore maps, People people, LessonStore lessons, TermStore terms,
            Clock clock) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.maps = maps;
        this.people = people;
        this.lessons = lessons;
        this.terms = terms;
        this.clock = clock;
    }

    @Override
    public String name() {
        return "classes";
    }

    @Override
    public void load(DemoGym gym) {
        SignedIn owner = SignedIn.of(accounts.named(gym.people().get(0).name()).orElseThrow());
        LocalDate today = clock.instant().atZone(ZoneOffset.UTC).toLocalDate();
        Map<String, UUID> grownUp = new HashMap<>();
        people.named(AgeGroup.ADULTS).forEach((name, id) -> grownUp.put(name.split(" ")[0], id));
        shelf.first().map(maps::head).ifPresent(map -> {
            gym.classes().stream().filter(evening -> hasFamily(map, evening))
                    .forEach(evening -> lessons.keep(map.id(), UUID.randomUUID(), lesson(evening, today, grownUp), owner.id()));
            terms.keep(map.id(), UUID.randomUUID(), new Term(gym.term().title(), today.minusDays(gym.term().beganDaysAgo()),
                    today.plusDays(gym.term().endsInDays())), owner.id());
        });
    }

    private static Lesson lesson(DemoGym.Evening evening, LocalDate today, Map<String, UUID> grownUp) {
        List<UUID> here = evening.absent() == null ? List.of() : grownUp.entrySet().stream()
                .filter(one -> !evening.absent().contains(one.getKey())).map(Map.Entry::getValue).sorted().toList();
        List<DemoGym.Unit> units = Optional.ofNullable(evening.planned()).orElse(List.of());
        return new Lesson(evening.title(), today.minusDays(evening.daysAgo()), evening.starts(), evening.minutes(),
                Focus.family(Id.of(evening.family())), Optional.empty(), READ, LATE, Optional.of(ClassShape.Usual.STEP_BY_STEP), Optional.empty(),
                here, fixed(evening), Optional.ofNullable(evening.asked()).orElse(List.of()), Set.of(), Set.of(), Set.of(), PairRequest.Odd.THREE,
                RoundWish.USUAL_LIMIT, 0, units.stream().map(DemoClasses::planned).toList(),
                units.stream().filter(unit -> Boolean.TRUE.equals(evening.ran()) && !Boolean.TRUE.equals(unit.dropped()))
                        .map(unit -> came(unit, grownUp)).toList());
    }

    private static Map<String, Optional<Integer>> fixed(DemoGym.Evening evening) {
        Map<String, Optional<Integer>> fixed = new LinkedHashMap<>();
        Optional.ofNullable(evening.fixed()).orElse(Map.of()).forEach((unit, minutes) -> fixed.put(unit, Optional.of(minutes)));
        return fixed;
    }

    private static Lesson.Planned planned(DemoGym.Unit unit) {
        return new Lesson.Planned(unit.unit(), Coded.require(Section.class, "section", unit.section()), unit.minutes(),
                unit.reactions().stream().map(Id::of).toList());
    }

    private static Lesson.Came came(DemoGym.Unit unit, Map<String, UUID> grownUp) {
        Lesson.Planned planned = planned(unit);
        Set<Couple> pairs = new HashSet<>();
        for (List<String> group : Optional.ofNullable(unit.pairs()).orElse(List.of())) {
            for (int a = 0; a < group.size(); a++) {
                for (int b = a + 1; b < group.size(); b++) {
                    pairs.add(new Couple(grownUp.get(group.get(a)), grownUp.get(group.get(b))));
                }
            }
        }
        return new Lesson.Came(planned.unit(), planned.section(), planned.minutes(), planned.reactions(), pairs);
    }

    /** A house that has changed its map since keeps what it changed. */
    private static boolean hasFamily(StoredMap map, DemoGym.Evening evening) {
        return map.index().map().families().stream().anyMatch(family -> family.id().equals(Id.of(evening.family())));
    }
}
