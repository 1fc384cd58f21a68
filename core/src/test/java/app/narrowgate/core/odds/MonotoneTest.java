package app.narrowgate.core.odds;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.RandomMaps;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What must never fall or rise, on seeded random maps. */
class MonotoneTest {

    static IntStream seeds() {
        return IntStream.range(3000, 3080);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void aHigherWorthOfAPlaceNeverLowersTheOdds(int seed) {
        EscapeMap map = RandomMaps.map(new Random(seed), 10, 3, 3);
        Setting setting = Setting.of(Id.of("even")).withRead(0.5 * (seed % 3));
        EnumMap<PlaceKind, Double> worth = new EnumMap<>(map.aims().get(0).worth());
        worth.put(PlaceKind.GUARD, 0.95);
        worth.put(PlaceKind.TURTLE, 0.3);
        EscapeMap dearer = map.with(PartKind.AIMS, List.of(new Aim(Id.of("even"), "Dearer", worth, Map.of())))
                .with(PartKind.MATCHUPS, List.of()).with(PartKind.HOLDS, List.of());
        compare(OddsSolver.solve(MapIndex.of(map), setting), OddsSolver.solve(MapIndex.of(dearer), setting));
    }

    /** Getting going more often helps wherever what follows is worth more than being stuffed. */
    @ParameterizedTest
    @MethodSource("seeds")
    void gettingGoingMoreOftenNeverHurtsWhereGoingBeatsStuffing(int seed) {
        EscapeMap map = RandomMaps.map(new Random(seed), 10, 3, 3);
        Setting setting = Setting.of(Id.of("even"));
        Odds before = OddsSolver.solve(MapIndex.of(map), setting);
        for (Reaction r : map.reactions()) {
            SituationOdds at = before.at(r.from());
            ReactionOdds odds = at.reactions().stream().filter(o -> o.reaction().equals(r.id())).findFirst().orElseThrow();
            double stuffed = SolvedMap.of(MapIndex.of(map), setting).worth(r.whenStuffed());
            if (r.works().chance() > 0.9 || odds.underWay() <= Math.max(at.worth(), stuffed) || r.responses().isEmpty()) {
                continue;
            }
            EscapeMap better = map.with(Reaction.answer(r.id(), r.from(), r.technique(), r.needs(), r.seconds(),
                    Likelihood.of(r.works().chance() + 0.1), r.stuffed(), r.responses()));
            compare(before, OddsSolver.solve(MapIndex.of(better), setting));
        }
    }

    private static void compare(Odds lower, Odds higher) {
        for (Map.Entry<Id, SituationOdds> entry : lower.situations().entrySet()) {
            assertThat(higher.at(entry.getKey()).worth()).isGreaterThanOrEqualTo(entry.getValue().worth() - 1e-6);
        }
    }
}
