package app.narrowgate.core.mat;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.drill.DrillKind;
import app.narrowgate.core.drill.Role;
import app.narrowgate.core.lesson.Section;
import app.narrowgate.core.trait.Side;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class MatPartTest {

    private static final UUID ANA = new UUID(0, 1);
    private static final UUID BO = new UUID(0, 2);
    private static final UUID CY = new UUID(0, 3);
    private static final UUID DEE = new UUID(0, 4);
    private static final UUID EDE = new UUID(0, 5);
    private static final List<List<UUID>> FIVE = List.of(List.of(DEE, EDE), List.of(ANA, BO, CY));

    /** Shown, and then so many turns with the change before each; every second bout is the second one. */
    private static MatPart part(DrillKind kind, int turns, List<List<List<UUID>>> bouts, Set<UUID> feeds) {
        List<MatStep> steps = new ArrayList<>(List.of(MatStep.plain(1, MatStep.Kind.SHOW, 60)));
        for (int turn = 0; turn < turns; turn++) {
            int bout = turn * bouts.size() / turns;
            steps.add(turn(2 * turn + 2, MatStep.Kind.CHANGE, bout));
            steps.add(turn(2 * turn + 3, MatStep.Kind.ROUND, bout));
        }
        return new MatPart("live:pin", Optional.of(Section.LIVE), Optional.empty(), Optional.empty(), List.of(), Optional.of(kind), steps, bouts, feeds, false);
    }

    private static MatStep turn(int number, MatStep.Kind kind, int bout) {
        return new MatStep(number, kind, kind == MatStep.Kind.ROUND ? 100 : 10, Optional.of(Side.LEFT), Optional.of(Role.FIRST), Optional.empty(), bout, List.of());
    }

    private static List<MatPart.Three> inRounds(MatPart part) {
        return part.steps().stream().filter(step -> step.kind() == MatStep.Kind.ROUND).map(part::threes).flatMap(Collection::stream).toList();
    }

    @Test
    void threeTakeTurns() {
        MatPart part = part(DrillKind.LIVE, 6, List.of(FIVE), Set.of());
        for (UUID who : List.of(ANA, BO, CY)) {
            assertThat(inRounds(part)).filteredOn(three -> three.bottom().equals(who)).hasSize(2);
            assertThat(inRounds(part)).filteredOn(three -> three.top().equals(who)).hasSize(2);
            assertThat(inRounds(part)).filteredOn(three -> three.rests().equals(who)).hasSize(2);
        }
        assertThat(part.threes(part.steps().get(0))).as("nobody is below while it is shown").isEmpty();
        for (int i = 1; i < part.steps().size(); i += 2) {
            assertThat(part.threes(part.steps().get(i))).as("told before the round, as it comes").isEqualTo(part.threes(part.steps().get(i + 1)));
        }
    }

    @Test
    void whoOnlyFeedsIsNeverBelow() {
        MatPart one = part(DrillKind.LIVE, 6, List.of(FIVE), Set.of(BO));
        assertThat(inRounds(one)).hasSize(6).noneMatch(three -> three.bottom().equals(BO));
        assertThat(inRounds(one)).extracting(MatPart.Three::bottom).contains(ANA, CY);
        assertThat(inRounds(one)).allMatch(three -> Set.of(three.bottom(), three.top(), three.rests()).equals(Set.of(ANA, BO, CY)));
        assertThat(inRounds(part(DrillKind.LIVE, 6, List.of(FIVE), Set.of(ANA, BO, CY)))).isEmpty();
    }

    @Test
    void withOtherPartnersItIsTheThreeOfThen() {
        MatPart part = part(DrillKind.LIVE, 4, List.of(FIVE, List.of(List.of(ANA, BO), List.of(CY, DEE, EDE))), Set.of());
        assertThat(inRounds(part)).hasSize(4);
        assertThat(inRounds(part).subList(2, 4)).allMatch(three -> Set.of(three.bottom(), three.top(), three.rests()).equals(Set.of(CY, DEE, EDE)));
        assertThat(inRounds(part(DrillKind.LIVE, 4, List.of(List.of(List.of(ANA, BO), List.of(CY))), Set.of()))).isEmpty();
    }

    @Test
    void onlyADialHasNotchesAndOnlyWhilePartnersWork() {
        MatPart dial = part(DrillKind.DIAL, 2, List.of(FIVE), Set.of());
        assertThat(dial.steps()).extracting(dial::notches).containsExactly(0, 0, 5, 0, 5);
        MatPart live = part(DrillKind.LIVE, 2, List.of(FIVE), Set.of());
        assertThat(live.steps()).extracting(live::notches).containsOnly(0);
    }
}
