package app.narrowgate.server.demo;

import app.narrowgate.core.drill.Role;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.movingup.Gate;
import app.narrowgate.core.movingup.GateList;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Level;
import app.narrowgate.core.trait.Side;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.lesson.PastLessons;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.record.RecordStore;
import app.narrowgate.server.standing.GymAsks;
import app.narrowgate.server.standing.Standings;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Repetitions that somebody counted in the demo gym's evenings, the gates that it asks for, and what was decided on them. Seeded, but for the ids. */
@Component
@Order(9)
class DemoStanding implements DemoPart {

    private static final int WEEKS = 12 * 7;
    private static final int AFTER_THE_START = 20;
    private static final double FULL = 0.97;
    private static final int DECIDED_WITHIN = 40;

    private final Accounts accounts;
    private final MapShelf shelf;
    private final MapStore maps;
    private final People people;
    private final PastLessons lessons;
    private final RecordStore record;
    private final GymAsks asks;
    private final Standings standings;
    private final JsonMapper json;
    private final Clock clock;

    DemoStanding(Accounts accounts, MapShelf shelf, MapStore maps, People people, PastLessons lessons, RecordStore record, GymAsks asks,
            Standings standings, JsonMapper json, Clock clock) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.maps = maps;
        this.people = people;
        this.lessons = lessons;
        this.record = record;
        this.asks = asks;
        this.standings = standings;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public String name() {
        return "standing";
    }

    @Override
    public void load(DemoGym gym) {
        SignedIn owner = SignedIn.of(accounts.named(gym.people().get(0).name()).orElseThrow());
        shelf.first().map(maps::head).ifPresent(map -> keep(map, owner));
    }

    private void keep(StoredMap map, SignedIn owner) {
        DemoStandingFile file = json.readValue(DemoLoader.resource("demo/standing.json"), DemoStandingFile.class);
        SplittableRandom random = new SplittableRandom(file.seed());
        LocalDate today = clock.instant().atZone(ZoneOffset.UTC).toLocalDate();
        List<People.InClass> roster = people.everybody();
        List<Event> counted = new ArrayList<>();
        lessons.between(map.id(), today.minusDays(WEEKS), today.minusDays(1), today).stream()
                .filter(one -> !one.came().isEmpty() && random.nextDouble() < file.evenings())
                .forEach(one -> counted.addAll(counted(map, one, roster, file, random)));
        record.keep(map.id(), counted, owner.id());
        for (Level level : Level.values()) {
            GateList.to(level).map(to -> standings.suggested(map, level)).filter(list -> !list.places().isEmpty())
                    .ifPresent(list -> asks.ask(map, list, owner));
        }
        record.keep(map.id(), decided(standings.gates(map, today), roster, file, today, random), owner.id());
    }

    private static List<Event> counted(StoredMap map, Lesson lesson, List<People.InClass> roster, DemoStandingFile file, SplittableRandom random) {
        List<Reaction> taught = lesson.shown().stream().map(map.index()::reaction).flatMap(Optional::stream).toList();
        List<Event> events = new ArrayList<>();
        for (People.InClass person : roster) {
            if (lesson.here().contains(person.id()) && random.nextDouble() < file.counting() && !taught.isEmpty()) {
                Reaction reaction = taught.get(random.nextInt(taught.size()));
                for (Side side : Side.values()) {
                    events.add(counted(map, lesson, person, reaction, side, file, random));
                }
            }
        }
        return events;
    }

    private static Event counted(StoredMap map, Lesson lesson, People.InClass person, Reaction reaction, Side side, DemoStandingFile file,
            SplittableRandom random) {
        Instant at = lesson.day().atTime(lesson.starts()).plusMinutes(AFTER_THE_START).toInstant(ZoneOffset.UTC);
        double clean = file.clean().get(person.person().level().orElse(Level.NOVICE).code());
        boolean weaker = side.code().equals(file.weaker().get(person.person().name().split(" ")[0]));
        double share = weaker ? clean - file.weakerBy() : Math.min(FULL, clean);
        int many = random.nextInt(file.least(), file.most() + 1);
        int well = 0;
        for (int i = 0; i < many; i++) {
            well += random.nextDouble() < share ? 1 : 0;
        }
        List<Technique.Fault> faults = map.index().technique(reaction.technique()).map(Technique::faults).orElse(List.of());
        boolean noted = !faults.isEmpty() && well < many && random.nextDouble() < file.fault();
        return new Event.Repetitions(UUID.randomUUID(), at, person.id(), reaction.technique(), Optional.of(reaction.id()), Optional.of(side), Role.FIRST, many,
                Optional.of(well), noted ? Optional.of(faults.get(random.nextInt(faults.size())).sign()) : Optional.empty());
    }

    /** Somebody is through so many of the places, and was told what is missing in the next; whose one side is weaker has not shown that one. */
    private List<Event> decided(Map<UUID, List<Gate>> gates, List<People.InClass> roster, DemoStandingFile file, LocalDate today, SplittableRandom random) {
        List<Event> events = new ArrayList<>();
        for (People.InClass person : roster) {
            List<Gate> theirs = gates.getOrDefault(person.id(), List.of());
            List<Integer> far = person.person().level().map(level -> file.far().get(level.code())).orElse(List.of());
            if (theirs.isEmpty() || far.isEmpty() || person.person().age() == AgeGroup.CHILDREN) {
                continue;
            }
            int through = random.nextInt(far.get(0), far.get(1) + 1) * Side.values().length;
            String weaker = file.weaker().get(person.person().name().split(" ")[0]);
            for (Gate gate : theirs.subList(0, Math.min(theirs.size(), through + 1))) {
                boolean shown = theirs.indexOf(gate) < through && !gate.side().code().equals(weaker);
                List<String> reasons = shown ? file.shown() : file.notYet();
                Instant at = today.minusDays(random.nextInt(DECIDED_WITHIN) + 1L).atTime(21, 0).toInstant(ZoneOffset.UTC);
                events.add(new Event.GateDecision(UUID.randomUUID(), at, person.id(), person.person().level().orElseThrow(), gate.place(), gate.side(), shown,
                        reasons.get(random.nextInt(reasons.size()))));
            }
        }
        return events;
    }
}
