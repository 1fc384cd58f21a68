package app.narrowgate.server.demo;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Focus;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.RoundWish;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.LessonStore;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Two weeks of classes at the demo gym, the last of them tonight. */
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
    private final Clock clock;

    DemoClasses(Accounts accounts, MapShelf shelf, MapStore maps, People people, LessonStore lessons, Clock clock) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.maps = maps;
        this.people = people;
        this.lessons = lessons;
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
        Map<String, UUID> grownUp = people.named(AgeGroup.ADULTS);
        shelf.first().map(maps::head).ifPresent(map -> gym.classes().stream().filter(evening -> hasFamily(map, evening)).forEach(evening -> {
            List<UUID> here = grownUp.entrySet().stream()
                    .filter(one -> evening.absent().stream().noneMatch(name -> one.getKey().startsWith(name + " "))).map(Map.Entry::getValue).toList();
            lessons.keep(map.id(), UUID.randomUUID(), new Lesson(evening.title(), today.minusDays(evening.daysAgo()), evening.starts(), evening.minutes(),
                    Focus.family(Id.of(evening.family())), Optional.empty(), READ, LATE, Optional.of(ClassShape.Usual.STEP_BY_STEP), Optional.empty(),
                    here, Map.of(), List.of(), Set.of(), Set.of(), Set.of(), PairRequest.Odd.THREE, RoundWish.USUAL_LIMIT, 0, planned(evening), List.of()), owner.id());
        }));
    }

    private static List<Lesson.Planned> planned(DemoGym.Evening evening) {
        return Optional.ofNullable(evening.planned()).orElse(List.of()).stream().map(came -> new Lesson.Planned(came.unit(),
                Coded.require(Section.class, "section", came.section()), came.minutes(), came.reactions().stream().map(Id::of).toList())).toList();
    }

    /** A house that has changed its map since keeps what it changed. */
    private static boolean hasFamily(StoredMap map, DemoGym.Evening evening) {
        return map.index().map().families().stream().anyMatch(family -> family.id().equals(Id.of(evening.family())));
    }
}
