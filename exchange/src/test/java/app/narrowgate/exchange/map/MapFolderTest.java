package app.narrowgate.exchange.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.EscapeMap;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;

class MapFolderTest {

    private static final String HEAD = """
            {"format":"narrowgate-map/1","title":"Two files","parts":["mount.json"],
             "families":[{"id":"mount","title":"Mount"}],
             "principles":[{"id":"p","title":"P","condition":"When?","house":"a",
               "stances":[{"id":"a","title":"A","wants":"This"},{"id":"b","title":"B"}]}],
             "outcomes":[{"id":"tap","title":"Tap","kind":"tap"}],
             "aims":[{"id":"even","title":"Even","worth":{"reversal":1}}]}
            """;
    private static final String PART = """
            {"format":"narrowgate-map-part/1",
             "techniques":[{"id":"trap","title":"Trap"}],
             "situations":[{"id":"low","title":"Low","family":"mount","stage":"settled","clock":{"seconds":6,"becomes":"tap"}}],
             "reactions":[{"id":"r","from":"low","technique":"trap","seconds":1,"works":"often"}],
             "holds":[{"id":"pin","title":"Mount","kind":"pin","at":["low"],"needs":{"all":[
               {"id":"seat","title":"Seat low","work":2,"denied":["r"]},
               {"any":[{"id":"head","title":"Head held"},{"id":"arm","title":"Arm held"}]}]}}]}
            """;

    private static EscapeMap read(String part) {
        return MapFolder.read(Map.of("map.json", HEAD, "mount.json", part)::get);
    }

    private static ProblemsException refused(String part) {
        return catchThrowableOfType(ProblemsException.class, () -> read(part));
    }

    @Test
    void isJoinedAndComesApartAgain() {
        EscapeMap map = read(PART);
        assertThat(map.holds().get(0).requirement().needs()).extracting(n -> n.id().value())
                .containsExactly("seat", "head", "arm");
        assertThat(map.principles().get(0).house()).isPresent();
        Map<String, String> files = new HashMap<>(MapFolder.write(map));
        assertThat(files.keySet()).containsExactlyInAnyOrder("map.json", "mount.json");
        assertThat(MapFolder.read(files::get)).isEqualTo(map);
        assertThat(MapJson.read(MapJson.writeText(map))).isEqualTo(map);
    }

    @Test
    void faultsNameTheirFile() {
        ProblemsException e = refused(PART.replace("\"technique\":\"trap\"", "\"technique\":\"ghost\""));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("mount.json#/reactions/0/technique");
    }

    @Test
    void aPartThatIsNoneIsRefused() {
        assertThat(refused("{\"format\":\"narrowgate-map/1\"}").problems()).extracting(Problem::place)
                .containsExactly("mount.json#/format");
        assertThat(refused("{").problems().get(0).place()).startsWith("mount.json line 1");
    }

    @Test
    void theHeadAloneIsRefusedAsAWholeMap() {
        ProblemsException e = catchThrowableOfType(ProblemsException.class, () -> MapJson.read(HEAD));
        assertThat(e.problems()).anySatisfy(p -> assertThat(p.message()).contains("kept in several files"));
    }

    @Test
    void requirementsAreReadStrictly() {
        assertThat(refused(PART.replace("\"work\":2", "\"work\":9")).problems()).extracting(Problem::place)
                .containsExactly("mount.json#/holds/0/needs/all/0/work");
        assertThat(refused(PART.replace("\"denied\":[\"r\"]", "\"denied\":[\"ghost\"]")).problems())
                .anySatisfy(p -> assertThat(p.message()).contains("No reaction is called “ghost”"));
        assertThat(refused(PART.replace("\"house\"", "\"home\"").replace("\"any\":", "\"some\":")).problems())
                .anySatisfy(p -> assertThat(p.message()).contains("“some” is not a field"));
        assertThat(refused(PART.replaceAll("\"needs\":.*", "\"needs\":{\"all\":[]}}]}").replaceAll("(?m)^\\s+\\{\"(id|any).*$", ""))
                .problems()).anySatisfy(p -> assertThat(p.message()).contains("has no parts"));
    }

    @Test
    void aHouseStanceMustBeThere() {
        ProblemsException e = catchThrowableOfType(ProblemsException.class, () -> MapFolder.read(
                Map.of("map.json", HEAD.replace("\"house\":\"a\"", "\"house\":\"c\""), "mount.json", PART)::get));
        assertThat(e.problems()).extracting(Problem::place).containsExactly("map.json#/principles/0/house");
    }
}
