package app.narrowgate.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.record.Beliefs;
import app.narrowgate.core.record.Event;
import app.narrowgate.core.record.Learner;
import app.narrowgate.core.record.Tally;
import app.narrowgate.core.record.Truth;
import app.narrowgate.exchange.map.MapFolder;
import app.narrowgate.server.record.RecordOdds;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** Beliefs that are learned from the demo gym's rounds approach the hidden map on which these were rolled. */
class DemoTwelveWeeksTest {

    private static final Instant TONIGHT = Instant.parse("2026-11-28T18:00:00Z");

    private static DemoRecordFile file;
    private static MapIndex index;
    private static SolvedMap written;
    private static DemoTwelveWeeks weeks;

    @BeforeAll
    static void load() {
        file = JsonMapper.builder().build().readValue(Path.of("../demo/record.json").toFile(), DemoRecordFile.class);
        index = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
        Setting setting = RecordOdds.ofRounds(index);
        written = SolvedMap.of(index, setting);
        weeks = new DemoTwelveWeeks(index, setting, file);
    }

    private static List<Event.Round> rounds(int evenings) {
        Map<UUID, Double> here = new LinkedHashMap<>();
        for (int i = 0; i < 14; i++) {
            here.put(new UUID(0, i + 1), 55 + 4.0 * i);
        }
        List<DemoTwelveWeeks.Evening> all = new ArrayList<>();
        List<Id> families = index.map().families().stream().map(one -> one.id()).toList();
        for (int i = 0; i < evenings; i++) {
            all.add(new DemoTwelveWeeks.Evening(TONIGHT.minus(Duration.ofDays(84 - 84 * i / evenings)), families.get(i % families.size()), here));
        }
        return weeks.of(all);
    }

    private static List<Id> often(List<Event.Round> rounds) {
        return index.map().situations().stream().map(Situation::id)
                .filter(place -> rounds.stream().filter(round -> round.start().equals(place)).count() >= Truth.ENOUGH).toList();
    }

    /** How far a map's odds lie from the hidden ones, on average. */
    private static double off(SolvedMap map, List<Id> places) {
        return places.stream()
                .mapToDouble(place -> Math.abs(map.worth(place) - weeks.truth().worth(place))).average().orElseThrow();
    }

    @Test
    void whatIsLearnedComesNearerToTheHiddenMap() {
        Learner learner = new Learner(written);
        Beliefs few = learner.learn(Tally.of(rounds(25), TONIGHT));
        Beliefs many = learner.learn(Tally.of(rounds(250), TONIGHT));
        List<Event.Round> term = rounds(25);
        assertThat(off(written.by(few), often(term))).isLessThan(0.8 * off(written, often(term)));
        assertThat(off(written.by(many), often(term))).isLessThan(0.5 * off(written, often(term)));
        file.otherwise().forEach((id, truth) -> {
            double before = written.rates().works(index.reaction(Id.of(id)).orElseThrow());
            double learned = few.works(index.reaction(Id.of(id)).orElseThrow());
            assertThat(Math.abs(learned - truth)).as(id).isLessThan(Math.abs(before - truth));
        });
    }

    @Test
    void theSameEveningsGiveTheSameRounds() {
        DemoTwelveWeeks again = new DemoTwelveWeeks(index, RecordOdds.ofRounds(index), file);
        DemoTwelveWeeks.Evening evening = new DemoTwelveWeeks.Evening(TONIGHT, Id.of("side"), Map.of(new UUID(0, 1), 70.0, new UUID(0, 2), 71.0));
        DemoTwelveWeeks other = new DemoTwelveWeeks(index, RecordOdds.ofRounds(index), file);
        assertThat(again.of(List.of(evening))).usingRecursiveFieldByFieldElementComparatorIgnoringFields("id").isEqualTo(other.of(List.of(evening)));
    }
}
