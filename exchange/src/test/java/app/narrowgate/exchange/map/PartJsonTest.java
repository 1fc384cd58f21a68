package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.MapRules;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.node.ObjectNode;

/** Every part of the demo's map can be put back, taken out and redirected, and the map stays sound. */
class PartJsonTest {

    private static final EscapeMap MAP = MapFolder.read(Path.of("../demo/map"));

    static List<String> lists() {
        return PartJson.LISTS.stream().filter(list -> !list.equals("rules")).toList();
    }

    private static List<Id> ids(String list) {
        return MapJson.write(MAP).get(list).values().stream().map(n -> Id.of(n.get("id").stringValue())).toList();
    }

    @ParameterizedTest
    @MethodSource("lists")
    void putBackUnchangedChangesNothing(String list) {
        for (Id id : ids(list).subList(0, Math.min(3, ids(list).size()))) {
            assertThat(PartJson.put(MAP, list, id, PartJson.get(MAP, list, id).orElseThrow())).isEqualTo(MAP);
        }
    }

    @ParameterizedTest
    @MethodSource("lists")
    void takingOneOutLeavesNothingHanging(String list) {
        List<Id> ids = ids(list);
        Id id = ids.get(0);
        EscapeMap without = PartJson.remove(MAP, list, id, Optional.empty());
        assertThat(MapRules.problems(without)).isEmpty();
        assertThat(PartJson.get(without, list, id)).isEmpty();
        EscapeMap redirected = PartJson.remove(MAP, list, id, Optional.of(ids.get(1)));
        assertThat(MapRules.problems(redirected)).isEmpty();
        if (!list.equals("principles")) {
            assertThat(PartJson.uses(redirected, list, ids.get(1)))
                    .as("whatever referred to the one refers to the other")
                    .containsAll(PartJson.uses(MAP, list, id).stream()
                            .filter(use -> !(use.list().equals(list) && use.id().equals(id))).toList());
        }
    }

    @Test
    void saysWhatRefersToAPart() {
        assertThat(PartJson.uses(MAP, "movements", Id.of("inversion-roll"))).extracting(PartJson.Use::list)
                .containsOnly("techniques");
        assertThat(PartJson.uses(MAP, "situations", Id.of("mount-low")))
                .contains(new PartJson.Use("reactions", Id.of("low-trap-bridge"), "from"),
                        new PartJson.Use("situations", Id.of("knee-ride"), "clock"),
                        new PartJson.Use("holds", Id.of("mount-pin"), "at"));
        assertThat(PartJson.uses(MAP, "reactions", Id.of("crossface-pocket")))
                .contains(new PartJson.Use("holds", Id.of("side-pin"), "denied"));
    }

    @Test
    void aSituationLetGoTakesItsReactionsAlong() {
        EscapeMap without = PartJson.remove(MAP, "situations", Id.of("knee-ride"), Optional.empty());
        assertThat(MapIndex.of(without).reaction(Id.of("knee-ride-push"))).isEmpty();
    }

    @Test
    void aFaultIsPlacedWithinThePart() {
        ObjectNode part = PartJson.get(MAP, "situations", Id.of("mount-low")).orElseThrow();
        ((ObjectNode) part.get("clock")).put("seconds", -1);
        ProblemsException e = catchThrowableOfType(ProblemsException.class,
                () -> PartJson.put(MAP, "situations", Id.of("mount-low"), part));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("/clock/seconds");
    }

    @Test
    void aFaultOfTheTwelfthPartDoesNotLieWithinTheFirst() {
        PartJson.Put twelfth = asItIs("situations", 12);
        twelfth.part().put("stage", "soon");
        ProblemsException e = catchThrowableOfType(ProblemsException.class,
                () -> PartJson.putAll(MAP, List.of(twelfth, asItIs("situations", 1))));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("map/situations/12/stage");
    }

    private static PartJson.Put asItIs(String list, int at) {
        Id id = ids(list).get(at);
        return new PartJson.Put(list, id, PartJson.get(MAP, list, id).orElseThrow());
    }

    @Test
    void anUnknownListOrPartIsRefused() {
        assertThatThrownBy(() -> PartJson.uses(MAP, "nodes", Id.of("x"))).hasMessageContaining("no list “nodes”");
        assertThatThrownBy(() -> PartJson.remove(MAP, "facts", Id.of("ghost"), Optional.empty()))
                .hasMessageContaining("ghost");
    }
}
