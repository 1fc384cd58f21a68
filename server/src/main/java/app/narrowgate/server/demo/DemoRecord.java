package app.narrowgate.server.demo;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import app.narrowgate.server.record.RecordOdds;
import app.narrowgate.server.record.RecordStore;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Twelve weeks of rounds at the demo gym: those of its term's evenings, and of some before. */
@Component
@Order(8)
class DemoRecord implements DemoPart {

    private static final LocalTime BEFORE_THE_TERM = LocalTime.of(18, 30);

    private final Accounts accounts;
    private final MapShelf shelf;
    private final MapStore maps;
    private final People people;
    private final RecordStore record;
    private final JsonMapper json;
    private final Clock clock;

    DemoRecord(Accounts accounts, MapShelf shelf, MapStore maps, People people, RecordStore record, JsonMapper json, Clock clock) {
        this.accounts = accounts;
        this.shelf = shelf;
        this.maps = maps;
        this.people = people;
        this.record = record;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public String name() {
        return "record";
    }

    @Override
    public void load(DemoGym gym) {
        UUID author = accounts.named(gym.people().get(0).name()).orElseThrow().id();
        shelf.first().map(maps::head).ifPresent(map -> keep(map, gym, author));
    }

    private void keep(StoredMap map, DemoGym gym, UUID author) {
        DemoRecordFile file = json.readValue(DemoLoader.resource("demo/record.json"), DemoRecordFile.class);
        Map<String, UUID> adults = people.named(AgeGroup.ADULTS);
        Map<UUID, Optional<Double>> weights = people.weights(adults.values());
        Map<String, Map.Entry<UUID, Double>> weighed = new LinkedHashMap<>();
        adults.forEach((name, id) -> weights.get(id).ifPresent(weight -> weighed.put(name.split(" ")[0], Map.entry(id, weight))));
        // A house that has changed its roster since has no evenings left.
        List<DemoTwelveWeeks.Evening> evenings = evenings(file, gym, weighed).stream().filter(one -> one.here().size() > 1).toList();
        record.keep(map.id(), List.copyOf(new DemoTwelveWeeks(map.index(), RecordOdds.ofRounds(map.index()), file).of(evenings)), author);
    }

    private List<DemoTwelveWeeks.Evening> evenings(DemoRecordFile file, DemoGym gym, Map<String, Map.Entry<UUID, Double>> people) {
        List<DemoTwelveWeeks.Evening> evenings = new ArrayList<>();
        file.before().forEach(one -> evenings.add(evening(one.daysAgo(), BEFORE_THE_TERM, one.family(), one.absent(), people)));
        gym.classes().stream().filter(one -> Boolean.TRUE.equals(one.ran()))
                .forEach(one -> evenings.add(evening(one.daysAgo(), one.starts(), one.family(), Optional.ofNullable(one.absent()).orElse(List.of()), people)));
        evenings.sort(Comparator.comparing(DemoTwelveWeeks.Evening::began));
        return evenings;
    }

    private DemoTwelveWeeks.Evening evening(int daysAgo, LocalTime starts, String family, List<String> absent, Map<String, Map.Entry<UUID, Double>> people) {
        Map<UUID, Double> here = new LinkedHashMap<>();
        Set<String> away = Set.copyOf(absent);
        people.forEach((name, one) -> {
            if (!away.contains(name)) {
                here.put(one.getKey(), one.getValue());
            }
        });
        LocalDate day = clock.instant().atZone(ZoneOffset.UTC).toLocalDate().minusDays(daysAgo);
        return new DemoTwelveWeeks.Evening(day.atTime(starts).toInstant(ZoneOffset.UTC), Id.of(family), here);
    }
}
