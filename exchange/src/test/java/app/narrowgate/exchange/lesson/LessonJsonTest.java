package app.narrowgate.exchange.lesson;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.lesson.ClassShape;
import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.lesson.PairRequest;
import app.narrowgate.core.lesson.Section;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LessonJsonTest {

    private static final Schema SCHEMA = schema();
    private static final String SMALL = """
            {"format":"narrowgate-class/1","title":"Tonight","day":"2026-11-27","starts":"19:30","usual":"mostly-live"}""";
    private static final String FULL = """
            {"format":"narrowgate-class/1","title":"Tonight: mount","day":"2026-11-27","starts":"19:30","minutes":75,
             "focus":{"family":"mount"},"aim":"guard-or-better","read":0.25,"late":0.5,
             "shape":{"warm-up":{"least":5,"most":8},"new":{"least":10,"most":40},"talk":{"least":0,"most":60}},
             "here":["00000000-0000-0000-0000-000000000001","00000000-0000-0000-0000-000000000002"],
             "fixed":[{"unit":"new:a","minutes":9},{"unit":"live:b"}],"out":["chain:c"],
             "together":[{"one":"00000000-0000-0000-0000-000000000002","other":"00000000-0000-0000-0000-000000000001"}],
             "apart":[{"one":"00000000-0000-0000-0000-000000000001","other":"00000000-0000-0000-0000-000000000003"}],
             "odd":"rest","limit":15,"turn":3,"planned":[{"unit":"new:a","section":"new","minutes":9,"reactions":["a"]}],
             "came":[{"unit":"new:d","section":"new","minutes":11,"reactions":["d","e"],
               "pairs":[{"one":"00000000-0000-0000-0000-000000000001","other":"00000000-0000-0000-0000-000000000002"}]}]}""";

    private static Schema schema() {
        try (InputStream file = LessonJsonTest.class.getResourceAsStream("/formats/narrowgate-class-1.schema.json")) {
            return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12).getSchema(file);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void everyFieldComesBackAsItWasWritten() {
        for (String text : List.of(FULL, SMALL)) {
            Lesson lesson = LessonJson.read(text);
            assertThat(SCHEMA.validate(text, InputFormat.JSON)).isEmpty();
            assertThat(LessonJson.read(LessonJson.writeText(lesson))).isEqualTo(lesson);
            assertThat(SCHEMA.validate(LessonJson.writeText(lesson), InputFormat.JSON)).isEmpty();
        }
        assertThat(SCHEMA.validate(SMALL.replace(",\"usual\":\"mostly-live\"", ""), InputFormat.JSON)).as("no shape").isNotEmpty();
        assertThat(SCHEMA.validate(FULL.replace("\"minutes\":75", "\"minutes\":75,\"usual\":\"repetition\""), InputFormat.JSON)).as("two shapes").isNotEmpty();
        Lesson full = LessonJson.read(FULL);
        assertThat(full.shape().of(Section.NEW)).isEqualTo(new ClassShape.Span(10, 40));
        assertThat(full.shape().of(Section.LIVE)).as("a part that is missing does not come").isEqualTo(new ClassShape.Span(0, 0));
        assertThat(full.fixed()).containsEntry("new:a", Optional.of(9)).containsEntry("live:b", Optional.empty());
        assertThat(full.taught()).as("what came, whatever was planned").hasSize(2);
        assertThat(full.came(full.here(), List.of()).taught()).hasSize(1);
        Lesson small = LessonJson.read(SMALL);
        assertThat(small.minutes()).isEqualTo(60);
        assertThat(small.odd()).isEqualTo(PairRequest.Odd.THREE);
        assertThat(small.shape()).isEqualTo(ClassShape.Usual.MOSTLY_LIVE.of(60));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "\"day\":\"2026-11-27\"|\"day\":\"the 27th\"|/day",
        "\"day\":\"2026-11-27\"|\"day\":\"1812-01-01\"|''",
        "\"starts\":\"19:30\"|\"starts\":\"half past\"|/starts",
        "\"minutes\":75|\"minutes\":600|/minutes",
        "{\"family\":\"mount\"}|{\"family\":\"mount\",\"place\":\"mount-low\"}|/focus/place",
        "\"read\":0.25|\"read\":1.5|/read",
        "\"odd\":\"rest\"|\"odd\":\"alone\"|/odd",
        "\"limit\":15|\"limit\":0|/limit",
        "\"turn\":3|\"turn\":3,\"colour\":1|/colour",
        "000000000002\"],|000000000001\"],|''",
        "[\"a\"]|[\"A b\"]|/planned/0/reactions",
        "[\"d\",\"e\"]|[\"D e\"]|/came/0/reactions",
        "\"minutes\":11|\"minutes\":0|/came/0/minutes",
        "\"unit\":\"new:a\",\"section\"|\"unit\":\"\",\"section\"|/planned/0/unit",
        "\"other\":\"00000000-0000-0000-0000-000000000001\"|\"other\":\"00000000-0000-0000-0000-000000000002\"|/together/0/other",
        "\"minutes\":75|\"minutes\":75,\"usual\":\"repetition\"|''"})
    void whatIsWrongIsNamedByItsPlace(String right, String wrong, String place) {
        String text = FULL.replace(right, wrong);
        assertThat(text).isNotEqualTo(FULL);
        assertThatThrownBy(() -> LessonJson.read(text)).isInstanceOfSatisfying(ProblemsException.class,
                e -> assertThat(e.problems()).extracting(Problem::place).contains(place));
    }
}
