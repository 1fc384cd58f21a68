package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.Day;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Source;
import app.narrowgate.core.map.Word;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class MapJsonTest {

    private static final String GOOD = """
            {"format":"narrowgate-map/1","title":"Small",
             "families":[{"id":"mount","title":"Mount"}],
             "facts":[{"id":"forward","title":"Shoulders forward"}],
             "principles":[{"id":"first","title":"First","stances":[{"id":"a","title":"A"},{"id":"b","title":"B"}]}],
             "movements":[{"id":"bridge","title":"Bridge"}],
             "techniques":[{"id":"trap","title":"Trap and bridge","movements":["bridge"],"checkpoints":["Feet close"],
               "faults":[{"sign":"They post","cause":"The arm is out","fix":"Trap it"}],
               "questions":[{"ask":"What if they sit up?"}],"cautions":["Mind the neck"],"stance":"first/a",
               "level":"intermediate","children":false,"avoidWith":["neck"]}],
             "situations":[{"id":"low","title":"Low mount","family":"mount","stage":"settled",
               "held":{"hips":"their seat"},"facts":{"forward":true},"clock":{"seconds":6.5,"becomes":"tap"},"entry":3},
               {"id":"half","title":"Half guard","family":"mount","stage":"early","rest":"half"}],
             "outcomes":[{"id":"top","title":"On top","kind":"reversal"},{"id":"tap","title":"Tap","kind":"tap"}],
             "reactions":[{"id":"r","from":"low","technique":"trap","needs":{"forward":true},"seconds":1.5,
               "works":"often","stuffed":"low","responses":[
                 {"id":"r-1","cue":"They fall","often":"usually","leads":"top"},
                 {"id":"r-2","cue":"They post","often":2.5}]}],
             "aims":[{"id":"even","title":"Even","worth":{"reversal":1,"half":0.5}}]}
            """;

    private static ProblemsException refused(String text) {
        return catchThrowableOfType(ProblemsException.class, () -> MapJson.read(text));
    }

    @Test
    void comesBackWithTheSameContent() {
        EscapeMap map = MapJson.read(GOOD);
        assertThat(MapJson.read(MapJson.writeText(map))).isEqualTo(map);
        assertThat(map.situations().get(0).clock().orElseThrow().seconds()).isEqualTo(6.5);
        assertThat(map.reactions().get(0).responses().get(1).leads()).isEmpty();
        assertThat(map.techniques().get(0).stance().orElseThrow()).hasToString("first/a");
    }

    @Test
    void aMapMadeInCodeComesBackToo() {
        EscapeMap map = new MapFixture().fact("f").resting("half", PlaceKind.HALF).situation("a", 3, "half")
                .reaction("a", 0.55, "win*2", "half*1.5", "*1").map();
        assertThat(MapJson.read(MapJson.writeText(map))).isEqualTo(map);
    }

    /** Seeded maps with every kind of part that a fixture can make, the usual rules and a matchup. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void randomMapsComeBackWithTheSameContent(long seed) {
        Random random = new Random(seed);
        MapFixture fixture = new MapFixture().fact("f");
        for (int s = 0; s < 8; s++) {
            if (random.nextBoolean()) {
                fixture.situation("s" + s, 0.1 + 10 * random.nextDouble(), "tap");
            } else {
                fixture.resting("s" + s, PlaceKind.values()[random.nextInt(PlaceKind.values().length - 1)]);
            }
            fixture.reaction("s" + s, random.nextDouble(), 20 * random.nextDouble(),
                    Map.of(Id.of("f"), random.nextBoolean()), "win*" + (0.1 + random.nextDouble()), "s" + random.nextInt(s + 1));
        }
        EscapeMap map = fixture.map().with(RateRule.USUAL.get(random.nextInt(RateRule.USUAL.size())))
                .with(Matchup.EVEN.withWeightGap(100 * random.nextDouble()));
        assertThat(MapJson.read(MapJson.writeText(map))).isEqualTo(map);
    }

    @Test
    void namesEveryProblemByItsPlaceAtOnce() {
        String bad = GOOD
                .replace("\"seconds\":1.5", "\"seconds\":-2")
                .replace("\"stage\":\"settled\"", "\"stage\":\"too late\"")
                .replace("\"seconds\":6.5", "\"seconds\":1e400")
                .replace("\"leads\":\"top\"", "\"leads\":\"nowhere\"")
                .replace("\"title\":\"Half guard\"", "\"title\":\"<script>alert(1)</script>\"")
                .replace("\"movements\":[\"bridge\"]", "\"movements\":[\"brigde\"]")
                .replace("\"stance\":\"first/a\"", "\"stance\":\"first/c\"")
                .replace("\"worth\":{\"reversal\":1", "\"worth\":{\"revesal\":1")
                .replace("\"entry\":3", "\"entryy\":3");
        assertThat(refused(bad).problems()).extracting(Problem::place).containsExactlyInAnyOrder(
                "/reactions/0/seconds", "/situations/0/stage", "/situations/0/clock/seconds",
                "/reactions/0/responses/0/leads", "/situations/1/title", "/techniques/0/movements/0",
                "/techniques/0/stance", "/aims/0/worth/revesal", "/situations/0/entryy");
    }

    @Test
    void whereAFigureWasLearnedComesBackAndGoesWithTheFigure() {
        String learned = GOOD.replace("\"works\":\"often\"",
                "\"works\":0.47,\"source\":{\"chance\":0.47,\"before\":\"often\",\"tries\":24.5,\"noted\":16,\"until\":\"2026-09-03\"}");
        EscapeMap map = MapJson.read(learned);
        assertThat(map.reactions().get(0).source()).contains(new Source(0.47, Likelihood.of(Word.OFTEN), 24.5, 16, new Day(2026, 9, 3)));
        assertThat(map.reactions().get(0).before()).isEqualTo(Likelihood.of(Word.OFTEN));
        assertThat(MapJson.read(MapJson.writeText(map))).isEqualTo(map);
        assertThat(MapJson.read(learned.replace("\"works\":0.47", "\"works\":0.5")).reactions().get(0).source()).as("of another figure").isEmpty();
        assertThat(refused(learned.replace("\"noted\":16", "\"noted\":25")).problems())
                .containsExactly(new Problem("/reactions/0/source/noted", "More noted tries than there were tries; write at most 24.5."));
        assertThat(refused(learned.replace("2026-09-03", "September")).problems())
                .containsExactly(new Problem("/reactions/0/source/until", "“September” is no day; write it like 2026-09-03."));
    }

    @Test
    void saysWhatIsWrongAndHowToMendIt() {
        assertThat(refused(GOOD.replace("\"works\":\"often\"", "\"works\":1.2")).problems())
                .containsExactly(new Problem("/reactions/0/works", "“works” is 1.2; it must lie between 0 and 1."));
        assertThat(refused(GOOD.replace("\"leads\":\"top\"", "\"leads\":\"nowhere\"")).problems().get(0).message())
                .isEqualTo("No situation or outcome is called “nowhere”; correct it or add it to the map.");
    }

    @Test
    void doubledIdsAreNamedWithTheirTwin() {
        ProblemsException refused = refused(GOOD.replace("\"id\":\"half\"", "\"id\":\"low\""));
        assertThat(refused.problems()).containsExactly(
                new Problem("/situations/1/id", "“low” stands twice; /situations/0 has the same id."));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "[]", "null", "3", "{}", "{\"format\":\"narrowgate-map/9\"}", "{\"format\":", "NaN",
        "{\"format\":\"narrowgate-map/1\",\"title\":\"a\",\"title\":\"b\"}", "{\"situations\":{}}",
        "{\"families\":[1,[],null,\"x\"],\"reactions\":\"many\"}", "{} {}"})
    void refusesWhatIsNoMap(String text) {
        assertThat(refused(text).problems()).isNotEmpty();
    }

    /** Whoever has taken the wrong file is told so, and nothing else. */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            {"format":"narrowgate-drill/1","title":"Monday"} | /format | This is not a map file but a drill file.
            {"format":"narrowgate-map-part/1"}   | /format | This is not a map file but a part of a map kept in several files.
            {"format":"narrowgate-map/9"}        | /format | This map file is of another version, narrowgate-map/9; this program reads narrowgate-map/1.
            {"format":"shopping"}                | /format | This is not a map file: it calls itself “shopping”.
            {"title":"A list"}                   | /format | This is not a map file: it does not say of itself that it is one.
            [1, 2]                               | ''      | This is not a map file: it does not say of itself that it is one.""")
    void whatIsNoMapFileIsToldSo(String text, String place, String message) {
        assertThat(refused(text).problems()).containsExactly(new Problem(place, message));
    }

    @Test
    void whereTheTextBreaksOffIsToldBesideWords() {
        assertThat(refused("{\"format\":\n \"narrowgate").problems()).singleElement().satisfies(problem -> {
            assertThat(problem.message()).startsWith("This is not a file of Narrow Gate, or a piece of it has been lost.");
            assertThat(problem.place()).startsWith("line 2, column ");
        });
    }

    @ParameterizedTest
    @ValueSource(strings = {"\"works\":NaN", "\"works\":-0.1", "\"works\":\"always\"", "\"works\":null",
        "\"works\":true", "\"works\":[0.5]"})
    void refusesAWrongLikelihood(String works) {
        assertThat(refused(GOOD.replace("\"works\":\"often\"", works)).problems()).hasSize(1);
    }

    @Test
    void aWordIsNotARange() {
        assertThat(refused(GOOD.replace("\"often\":2.5", "\"often\":0")).problems())
                .extracting(Problem::place).containsExactly("/reactions/0/responses/1/often");
        assertThat(refused(GOOD.replace("\"often\":2.5", "\"often\":\"2.5\"")).problems().get(0).message())
                .contains("rarely, sometimes, often, usually");
    }
}
