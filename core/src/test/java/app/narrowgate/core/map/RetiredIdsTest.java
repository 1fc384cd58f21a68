package app.narrowgate.core.map;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** An id that belonged to something is never given to something else. */
class RetiredIdsTest {

    private final EscapeMap map = new MapFixture().situation("low").situation("high").outcome("win", PlaceKind.REVERSAL)
            .reaction("low", 0.5, "win", "low").map();

    @Test
    void whatGoesRetiresItsIdAndThoseOfWhatGoesWithIt() {
        RetiredIds retired = RetiredIds.NONE.next(map, map.without(PartKind.SITUATIONS, Id.of("low")));
        assertThat(retired.paths()).containsExactlyInAnyOrder("situations/low", "reactions/r1", "reactions/r1/r1-1",
                "reactions/r1/r1-2");
        assertThat(retired.free("Low", PartKind.SITUATIONS, id -> false)).isEqualTo(Id.of("low-2"));
        assertThat(retired.free("Low", PartKind.TECHNIQUES, id -> false)).isEqualTo(Id.of("low"));
    }

    @Test
    void aPlaceThatWentLeavesNoIdForAnotherKindOfPlace() {
        RetiredIds retired = RetiredIds.NONE.next(map, map.without(PartKind.SITUATIONS, Id.of("low")));
        assertThat(retired.free("Low", PartKind.OUTCOMES, id -> false)).isEqualTo(Id.of("low-2"));
        EscapeMap without = map.without(PartKind.SITUATIONS, Id.of("low"));
        assertThat(retired.givenAgain(without, without.with(new Outcome(Id.of("low"), "Low", PlaceKind.TAP, Optional.empty()))))
                .containsExactly("outcomes/low");
        assertThat(retired.givenAgain(without, without.with(Fact.named(Id.of("low"), "They are low")))).isEmpty();
    }

    @Test
    void aResponseThatWentLeavesNoIdInItsReactionButOneInOthers() {
        Reaction reaction = map.reactions().get(0);
        EscapeMap without = map.with(reaction.withoutResponse(Id.of("r1-2")));
        RetiredIds retired = RetiredIds.NONE.next(map, without);
        assertThat(retired.free("r1 2", without.reactions().get(0))).isEqualTo(Id.of("r1-2-2"));
        assertThat(retired.isFree(Id.of("r1-2"), Reaction.answer(Id.of("other"), reaction.from(), reaction.technique(),
                reaction.needs(), 1, reaction.works(), reaction.stuffed(), List.of()))).isTrue();
    }

    @Test
    void theSamePartBroughtBackHasItsIdAgain() {
        EscapeMap without = map.without(PartKind.SITUATIONS, Id.of("high"));
        RetiredIds retired = RetiredIds.NONE.next(map, without);
        assertThat(retired.givenAgain(without, map)).containsExactly("situations/high");
        assertThat(retired.next(without, map)).isEqualTo(RetiredIds.NONE);
    }
}
