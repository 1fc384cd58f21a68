package app.narrowgate.core.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What a map leaves unsaid that a partner or a drill needs. Common practice, no source. */
class TeachingGapsTest {

    private static List<String> places(Finding.Kind kind, EscapeMap map) {
        return MapReview.of(SolvedMap.of(MapIndex.of(map), Setting.of(Id.of("even")))).stream()
                .filter(f -> f.kind() == kind).map(f -> f.place().value()).toList();
    }

    private static Reaction reaction(String when, double works, Optional<Id> stuffed, String... cues) {
        List<Response> responses = java.util.Arrays.stream(cues).map(cue ->
                new Response(Id.of("c" + cue.length()), cue, Likelihood.of(1), Optional.of(Id.of("win")))).toList();
        return new Reaction(Id.of("r"), Id.of("a"), Id.of("technique"), when, "", Map.of(), 1, Likelihood.of(works), stuffed,
                responses);
    }

    private static EscapeMap with(Reaction reaction) {
        return new MapFixture().situation("a", 3, "tap").situation("b").map().with(reaction);
    }

    @Test
    void anAnswerToNothing() {
        assertThat(places(Finding.Kind.NO_TRIGGER, with(reaction("", 1, Optional.empty())))).containsExactly("r");
        assertThat(places(Finding.Kind.NO_TRIGGER, with(reaction("Their elbow blocks your hip", 1, Optional.empty())))).isEmpty();
        assertThat(places(Finding.Kind.NO_TRIGGER, new MapFixture().situation("a").wrong("a", 1, "win").map())).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"They open", "They sit", "They go on", "It is too late"})
    void aCueThatCanNeitherBeSeenNorFelt(String cue) {
        assertThat(places(Finding.Kind.VAGUE_CUE,
                with(reaction("x", 1, Optional.empty(), cue, "Their hip comes off yours", "Both knees close"))))
                .containsExactly("r");
    }

    @ParameterizedTest
    @ValueSource(strings = {"Their hip comes off yours", "A hand goes to the mat", "Your weight is suddenly free",
        "They post", "Knees close on your ribs", "They tip forward", "They sit down"})
    void aCueThatCanBeSeenOrFelt(String cue) {
        assertThat(places(Finding.Kind.VAGUE_CUE, with(reaction("x", 1, Optional.empty(), cue)))).isEmpty();
    }

    /** A map in another language is not judged by English words. */
    @Test
    void anotherLanguageIsNotJudged() {
        assertThat(places(Finding.Kind.VAGUE_CUE, with(reaction("x", 1, Optional.empty(), "Die Schulter kommt", "Sie sinken",
                "Er steht auf")))).isEmpty();
    }

    @Test
    void aTryThatCostsNothing() {
        assertThat(places(Finding.Kind.FREE_RETRY, with(reaction("x", 0.5, Optional.empty())))).containsExactly("r");
        assertThat(places(Finding.Kind.FREE_RETRY, with(reaction("x", 0.5, Optional.of(Id.of("a")))))).isEmpty();
        assertThat(places(Finding.Kind.FREE_RETRY, with(reaction("x", 0.5, Optional.of(Id.of("b")))))).isEmpty();
        EscapeMap still = new MapFixture().situation("a").map().with(reaction("x", 0.5, Optional.of(Id.of("a"))));
        assertThat(places(Finding.Kind.FREE_RETRY, still)).containsExactly("r");
        assertThat(places(Finding.Kind.FREE_RETRY, with(reaction("x", 1, Optional.empty())))).isEmpty();
    }

    @Test
    void aRestFromWhichNothingBegins() {
        EscapeMap map = new MapFixture().resting("guard", PlaceKind.GUARD).situation("a").reaction("a", 1, "guard").map();
        assertThat(places(Finding.Kind.NO_FEEDS, map)).containsExactly("guard");
        Situation guard = map.situations().get(0);
        assertThat(places(Finding.Kind.NO_FEEDS, map.with(guard.withFeeds(List.of(Id.of("a")))))).isEmpty();
    }

    @Test
    void aReversalAfterWhichNobodyKnowsWhoseTurnItIs() {
        EscapeMap map = new MapFixture().situation("a").reaction("a", 1, "win").map();
        assertThat(places(Finding.Kind.NO_TURN, map)).containsExactly("win");
        assertThat(places(Finding.Kind.NO_TURN, map.with(new Outcome(Id.of("win"), "On top", PlaceKind.REVERSAL,
                Optional.of(Id.of("a")))))).isEmpty();
    }

    /** No drill comes to a reversal that nothing leads to, as all of those are that an empty map begins with. */
    @Test
    void aReversalIsAskedAboutOnceSomethingLeadsThere() {
        assertThat(places(Finding.Kind.NO_TURN, new MapFixture().situation("a").map())).isEmpty();
        assertThat(places(Finding.Kind.NO_TURN, new MapFixture().situation("a", 3, "win").map())).containsExactly("win");
        assertThat(places(Finding.Kind.NO_TURN, with(reaction("x", 0.5, Optional.of(Id.of("win")))))).containsExactly("win");
    }

    /** One answer is no hole where the map says why. */
    @Test
    void oneAnswerWithAReason() {
        EscapeMap map = new MapFixture().situation("a").reaction("a", 1, "win").map();
        assertThat(places(Finding.Kind.SINGLE_ROUTE, map)).containsExactly("a");
        Situation a = map.situations().get(0);
        assertThat(places(Finding.Kind.SINGLE_ROUTE, map.with(a.withNotes(new app.narrowgate.core.map.PlaceNotes(List.of(),
                Map.of(), app.narrowgate.core.map.Feeder.NONE, "At the last moment there is time for one"))))).isEmpty();
    }
}
