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
import app.narrowgate.core.map.Part;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.PartUse;
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

    static List<PartKind<?>> kinds() {
        return PartKind.ALL.stream().filter(kind -> kind != PartKind.RULES).toList();
    }

    private static List<Id> ids(PartKind<?> kind) {
        return MAP.parts(kind).stream().map(Part::id).toList();
    }

    private static EscapeMap put(PartKind<?> kind, Id id, ObjectNode part) {
        return PartJson.putAll(MAP, List.of(new PartJson.Put(kind, id, part)));
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void putBackUnchangedChangesNothing(PartKind<?> kind) {
        for (Id id : ids(kind).subList(0, Math.min(3, ids(kind).size()))) {
            assertThat(put(kind, id, PartJson.get(MAP, kind, id).orElseThrow())).isEqualTo(MAP);
        }
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void takingOneOutLeavesNothingHanging(PartKind<?> kind) {
        List<Id> ids = ids(kind);
        Id id = ids.get(0);
        EscapeMap without = PartJson.remove(MAP, kind, id, Optional.empty());
        assertThat(MapRules.problems(without)).isEmpty();
        assertThat(PartJson.get(without, kind, id)).isEmpty();
        EscapeMap redirected = PartJson.remove(MAP, kind, id, Optional.of(ids.get(1)));
        assertThat(MapRules.problems(redirected)).isEmpty();
        if (kind != PartKind.PRINCIPLES) {
            assertThat(redirected.uses(kind, ids.get(1)))
                    .as("whatever referred to the one refers to the other")
                    .containsAll(MAP.uses(kind, id).stream()
                            .filter(use -> !(use.kind() == kind && use.id().equals(id))).toList());
        }
    }

    @Test
    void saysWhatRefersToAPart() {
        assertThat(MAP.uses(PartKind.MOVEMENTS, Id.of("inversion-roll"))).extracting(PartUse::kind)
                .containsOnly(PartKind.TECHNIQUES);
        assertThat(MAP.uses(PartKind.SITUATIONS, Id.of("mount-low")))
                .contains(new PartUse(PartKind.REACTIONS, Id.of("low-trap-bridge"), "from"),
                        new PartUse(PartKind.SITUATIONS, Id.of("knee-ride"), "clock"),
                        new PartUse(PartKind.HOLDS, Id.of("mount-pin"), "at"));
        assertThat(MAP.uses(PartKind.REACTIONS, Id.of("crossface-pocket")))
                .contains(new PartUse(PartKind.HOLDS, Id.of("side-pin"), "denied"));
    }

    @Test
    void aSituationLetGoTakesItsReactionsAlong() {
        EscapeMap without = PartJson.remove(MAP, PartKind.SITUATIONS, Id.of("knee-ride"), Optional.empty());
        assertThat(MapIndex.of(without).reaction(Id.of("knee-ride-push"))).isEmpty();
    }

    @Test
    void aFaultIsPlacedWithinThePart() {
        ObjectNode part = PartJson.get(MAP, PartKind.SITUATIONS, Id.of("mount-low")).orElseThrow();
        ((ObjectNode) part.get("clock")).put("seconds", -1);
        ProblemsException e = catchThrowableOfType(ProblemsException.class,
                () -> put(PartKind.SITUATIONS, Id.of("mount-low"), part));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("/clock/seconds");
    }

    @Test
    void aFaultOfTheTwelfthPartDoesNotLieWithinTheFirst() {
        PartJson.Put twelfth = asItIs(PartKind.SITUATIONS, 12);
        twelfth.part().put("stage", "soon");
        ProblemsException e = catchThrowableOfType(ProblemsException.class,
                () -> PartJson.putAll(MAP, List.of(twelfth, asItIs(PartKind.SITUATIONS, 1))));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("map/situations/12/stage");
    }

    private static PartJson.Put asItIs(PartKind<?> kind, int at) {
        Id id = ids(kind).get(at);
        return new PartJson.Put(kind, id, PartJson.get(MAP, kind, id).orElseThrow());
    }

    @Test
    void anUnknownPartIsRefused() {
        assertThatThrownBy(() -> PartJson.remove(MAP, PartKind.FACTS, Id.of("ghost"), Optional.empty()))
                .hasMessageContaining("ghost");
    }
}
