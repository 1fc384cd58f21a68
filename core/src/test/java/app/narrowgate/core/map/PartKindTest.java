package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.fixture.RandomMaps;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The one table of the kinds of part is whole, and what works from it keeps random maps sound. */
class PartKindTest {

    static IntStream seeds() {
        return IntStream.range(7000, 7040);
    }

    @Test
    void everyPartHasOneKindAndEveryKindAListOfItsOwn() {
        assertThat(PartKind.ALL).hasSameSizeAs(Part.class.getPermittedSubclasses());
        assertThat(PartKind.ALL.stream().map(PartKind::list)).doesNotHaveDuplicates();
        for (Class<?> type : Part.class.getPermittedSubclasses()) {
            String accessor = Arrays.stream(EscapeMap.class.getMethods())
                    .filter(method -> method.getGenericReturnType().getTypeName().equals("java.util.List<" + type.getName() + ">"))
                    .filter(method -> method.getParameterCount() == 0 && !method.getName().endsWith("InForce"))
                    .findFirst().orElseThrow().getName();
            assertThat(PartKind.ofList(accessor).list()).isEqualTo(accessor);
        }
    }

    /** A random map in which the first situations are named by every field that may name one. */
    private static EscapeMap random(int seed) {
        EscapeMap map = RandomMaps.map(new Random(seed), 8, 3, 3);
        List<Id> first = map.situations().stream().map(Situation::id).limit(2).toList();
        Situation rest = Situation.of(Id.of("a-rest"), "A rest", map.situations().get(0).family(), Stage.EARLY, Map.of(),
                Map.of(), Optional.empty(), 0, Optional.of(PlaceKind.GUARD)).withFeeds(first);
        return map.with(rest)
                .with(new Outcome(Id.of("turned"), "Turned", PlaceKind.REVERSAL, Optional.of(first.get(0))))
                .with(new Aim(Id.of("but"), "Anywhere but", Map.of(PlaceKind.GUARD, 1.0),
                        Map.of(first.get(0), 0.0, Id.of("turned"), 0.5)));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void ofAMapThatIsEmptiedNothingNamesWhatWent(int seed) {
        EscapeMap words = random(seed).emptiedOf(Set.of(PartKind.SITUATIONS, PartKind.TECHNIQUES));
        assertThat(missing(words)).isEmpty();
        assertThat(words.reactions()).isEmpty();
        assertThat(words.outcomes()).extracting(Outcome::then).allMatch(Optional::isEmpty);
        assertThat(words.aims().get(words.aims().size() - 1).places()).containsOnlyKeys(Id.of("turned"));
    }

    @Test
    void aListThatNoMapHasIsRefused() {
        assertThatThrownBy(() -> PartKind.ofList("nodes")).hasMessageContaining("no list “nodes”");
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whateverIsTakenOutNothingNamesItAnyMore(int seed) {
        EscapeMap map = random(seed);
        for (PartKind<?> kind : PartKind.ALL) {
            for (Part part : map.parts(kind)) {
                EscapeMap without = map.without(kind, part.id());
                assertThat(without.uses(kind, part.id())).as("%s %s", kind, part.id()).isEmpty();
                assertThat(missing(without)).as("%s %s", kind, part.id()).isEmpty();
            }
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void whateverIsReplacedIsNamedNowhereAndItsPlaceIsTaken(int seed) {
        EscapeMap map = random(seed);
        List<Situation> situations = map.situations();
        Id gone = situations.get(0).id();
        Id instead = situations.get(1).id();
        List<PartUse> expected = new ArrayList<>(map.uses(PartKind.SITUATIONS, gone));
        expected.removeIf(use -> use.kind() == PartKind.SITUATIONS && use.id().equals(gone));
        EscapeMap redirected = map.without(PartKind.SITUATIONS, gone, Optional.of(instead));
        assertThat(redirected.uses(PartKind.SITUATIONS, gone)).isEmpty();
        assertThat(redirected.uses(PartKind.SITUATIONS, instead)).containsAll(expected);
        assertThat(redirected.reactions()).hasSameSizeAs(map.reactions());
    }

    /** What names something that is not there; a map can also lack an aim, which is another matter. */
    private static List<Problem> missing(EscapeMap map) {
        return MapRules.problems(map).stream().filter(problem -> problem.message().contains("is called")).toList();
    }
}
