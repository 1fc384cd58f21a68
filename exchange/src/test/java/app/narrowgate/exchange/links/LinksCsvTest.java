package app.narrowgate.exchange.links;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.fixture.MapFixture;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.core.map.Word;
import app.narrowgate.exchange.map.MapFolder;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class LinksCsvTest {

    private static final EscapeMap DEMO = MapFolder.read(Path.of("../demo/map"));
    private static final EscapeMap SMALL = new MapFixture().situation("pin").reaction("pin", 0.5, "win", "").map();

    private static List<String> faults(EscapeMap map, String text) {
        ProblemsException refused = catchThrowableOfType(ProblemsException.class, () -> LinksCsv.read(map, RetiredIds.NONE, text, false));
        assertThat(refused).as("refused").isNotNull();
        return refused.problems().stream().map(Problem::place).toList();
    }

    @Test
    void whatWasWrittenComesBackUnchanged() {
        assertThat(LinksCsv.read(DEMO, RetiredIds.NONE, LinksCsv.write(DEMO), true)).isEqualTo(DEMO);
        assertThat(LinksCsv.read(DEMO, RetiredIds.NONE, LinksCsv.write(DEMO), false)).isEqualTo(DEMO);
    }

    @Test
    void fortyResponsesOfASpreadsheetUserAreAdded() {
        StringBuilder rows = new StringBuilder("Situation;Technique;Cue;Often;Leads\r\n");
        for (int i = 0; i < 40; i++) {
            rows.append("Low, arms round your head;Trap an arm and a foot, bridge over that shoulder;They try number ")
                    .append(i).append(";0,5;Half guard\r\n");
        }
        EscapeMap read = LinksCsv.read(DEMO, RetiredIds.NONE, rows.toString(), false);
        Reaction bridge = read.reactions().stream().filter(r -> r.from().value().equals("mount-low")
                && r.responses().size() >= 40).findFirst().orElseThrow();
        assertThat(bridge.responses()).filteredOn(r -> r.cue().startsWith("They try number")).hasSize(40)
                .allSatisfy(r -> {
                    assertThat(r.often().weight()).isEqualTo(0.5);
                    assertThat(r.leads()).contains(Id.of("half-guard"));
                });
    }

    @Test
    void rowsOfOneSituationAndANewTechniqueMakeOneReaction() {
        EscapeMap read = LinksCsv.read(SMALL, RetiredIds.NONE, """
                situation,technique,works,seconds,cue,often,leads
                pin,Roll under,usually,1.5,They follow,often,win
                pin,Roll under,,,They sit,,
                """, false);
        assertThat(read.techniques()).extracting(t -> t.title()).contains("Roll under");
        Reaction made = read.reactions().get(1);
        assertThat(made.works()).isEqualTo(Likelihood.of(Word.USUALLY));
        assertThat(made.seconds()).isEqualTo(1.5);
        assertThat(made.responses()).extracting(Response::cue).containsExactly("They follow", "They sit");
        assertThat(made.responses().get(1).leads()).isEmpty();
    }

    @Test
    void onlyAWholeTableTakesOut() {
        String one = """
                situation,reaction,technique,response,cue,leads
                pin,r1,technique,r1-1,They answer,win
                """;
        assertThat(LinksCsv.read(SMALL, RetiredIds.NONE, one, false).reactions().get(0).responses()).hasSize(2);
        assertThat(LinksCsv.read(SMALL, RetiredIds.NONE, one, true).reactions().get(0).responses()).hasSize(1);
        assertThat(LinksCsv.read(SMALL, RetiredIds.NONE, "situation,technique,cue\n", true).reactions()).isEmpty();
    }

    @Test
    void everyFaultIsNamedByLineAndColumn() {
        assertThat(faults(SMALL, """
                situation,technique,works,seconds,cue,often,leads
                nowhere,technique,,,They sit,,
                pin,technique,always,,They sit,,
                pin,technique,,999,They sit,,
                pin,technique,,,They sit,0,
                pin,technique,,,They sit,,moon
                pin,technique,NaN,,They sit,,
                pin,,,,They sit,,
                pin,technique,,,"<b>",,win
                pin,technique,,,,,win
                """)).containsExactly("line 2, situation", "line 3, works", "line 4, reaction", "line 5, cue",
                "line 6, leads", "line 7, works", "line 8, technique", "line 9, cue", "line 10, cue");
        assertThat(faults(SMALL, "situation,cue,mood\n")).containsExactly("line 1", "line 1");
        assertThat(faults(SMALL, "situation,technique,cue\npin,\"open")).isNotEmpty();
        assertThat(faults(SMALL, "")).isNotEmpty();
    }

    @Test
    void aCellIsNoFormula() {
        EscapeMap map = SMALL.with(SMALL.reactions().get(0).withResponse(
                new Response(Id.of("odd"), "=1+1 they say", Likelihood.of(1), Optional.empty())));
        assertThat(LinksCsv.write(map)).contains(",'=1+1 they say,");
        assertThat(LinksCsv.read(map, RetiredIds.NONE, LinksCsv.write(map), true)).isEqualTo(map);
    }
}
