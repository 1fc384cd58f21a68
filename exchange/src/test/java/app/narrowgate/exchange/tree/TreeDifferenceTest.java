package app.narrowgate.exchange.tree;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What differs is told where it differs, and no more than that. */
class TreeDifferenceTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TreeDifference.Words AS_IT_STANDS = new TreeDifference.Words() {
        @Override
        public String text(String text) {
            return text.equals("low") ? "Low mount" : text;
        }

        @Override
        public String name(String field) {
            return field.equals("wet") ? "The mat is wet" : field;
        }
    };

    static Stream<Arguments> differences() {
        return Stream.of(
                Arguments.of("{'a':1}", "{'a':1}", List.of()),
                Arguments.of("{'a':1}", "{'a':2}", List.of("a: 1 > 2")),
                Arguments.of("{}", "{'leads':'low'}", List.of("leads: null > Low mount")),
                Arguments.of("{'facts':{'wet':true}}", "{'facts':{'wet':false}}", List.of("facts, The mat is wet: yes > no")),
                Arguments.of("{'at':['low','high']}", "{'at':['low']}", List.of("at: Low mount; high > Low mount")),
                Arguments.of("{'r':[{'id':'x','cue':'They post','often':1}]}", "{'r':[{'id':'x','cue':'They post','often':2}]}",
                        List.of("r, “They post”, often: 1 > 2")),
                Arguments.of("{'r':[{'id':'x','cue':'They post'}]}",
                        "{'r':[{'id':'x','cue':'They post'},{'id':'y','cue':'They wait'}]}",
                        List.of("r, “They wait”: null > cue: They wait")),
                Arguments.of("{'all':[{'any':[{'id':'n','title':'A hand','work':1}]},{'id':'m','title':'A knee','work':2}]}",
                        "{'all':[{'any':[{'id':'n','title':'A hand','work':3}]},{'id':'m','title':'A knee','work':2}]}",
                        List.of("all, 1, any, “A hand”, work: 1 > 3")),
                Arguments.of("{'f':[{'sign':'It slips'}]}", "{'f':[{'sign':'It slips'},{'sign':'It sticks'}]}",
                        List.of("f: sign: It slips > sign: It slips; sign: It sticks")));
    }

    @ParameterizedTest
    @MethodSource("differences")
    void everyFieldThatDiffersIsTold(String was, String is, List<String> told) {
        assertThat(TreeDifference.between(tree(was), tree(is), AS_IT_STANDS))
                .extracting(field -> field.field() + ": " + field.before() + " > " + field.after()).isEqualTo(told);
    }

    @Test
    void whatWasNotThereDiffersAsAWhole() {
        assertThat(TreeDifference.between(null, tree("{'a':1}"), AS_IT_STANDS))
                .containsExactly(new TreeDifference.Field("", null, "a: 1"));
    }

    private static JsonNode tree(String text) {
        return JSON.readTree(text.replace('\'', '"'));
    }
}
