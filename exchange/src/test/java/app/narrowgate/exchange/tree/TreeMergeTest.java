package app.narrowgate.exchange.tree;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class TreeMergeTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String BASE = """
            {"id":"r","works":"often","seconds":1,"responses":[{"id":"a","cue":"A"},{"id":"b","cue":"B"}]}""";

    private static JsonNode json(String text) {
        return text == null ? null : JSON.readTree(text);
    }

    private static String merged(String mine, String theirs) {
        return TreeMerge.merge(json(BASE), json(mine), json(theirs))
                .map(m -> m.node() == null ? "gone" : m.node().toString()).orElse("conflict");
    }

    @Test
    void differentFieldsComeTogether() {
        assertThat(merged(BASE.replace("often", "rarely"), BASE.replace("\"seconds\":1", "\"seconds\":2")))
                .isEqualTo(json(BASE.replace("often", "rarely").replace("\"seconds\":1", "\"seconds\":2")).toString());
    }

    @Test
    void twoNewResponsesBothStay() {
        String mine = BASE.replace("]}", ",{\"id\":\"c\",\"cue\":\"C\"}]}");
        String theirs = BASE.replace("]}", ",{\"id\":\"d\",\"cue\":\"D\"}]}");
        assertThat(merged(mine, theirs)).contains("\"d\"", "\"c\"");
    }

    @Test
    void theSameFieldChangedTwiceIsAConflict() {
        assertThat(merged(BASE.replace("often", "rarely"), BASE.replace("often", "usually"))).isEqualTo("conflict");
    }

    @Test
    void aChangeOfSomethingTakenOutIsAConflict() {
        assertThat(merged(BASE.replace("\"cue\":\"A\"", "\"cue\":\"X\""), BASE.replace("{\"id\":\"a\",\"cue\":\"A\"},", "")))
                .isEqualTo("conflict");
        assertThat(merged(BASE.replace("often", "rarely"), null)).isEqualTo("conflict");
    }

    @Test
    void whatOnlyOneTookOutIsGone() {
        assertThat(merged(BASE, BASE.replace("{\"id\":\"a\",\"cue\":\"A\"},", ""))).doesNotContain("\"a\"");
        assertThat(merged(null, BASE)).isEqualTo("gone");
    }

    @Test
    void theSameChangeTwiceIsOne() {
        String same = BASE.replace("often", "rarely");
        assertThat(merged(same, same)).isEqualTo(json(same).toString());
    }
}
