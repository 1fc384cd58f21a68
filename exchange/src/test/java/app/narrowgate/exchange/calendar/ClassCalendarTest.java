package app.narrowgate.exchange.calendar;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.exchange.lesson.LessonJson;
import app.narrowgate.exchange.map.MapFolder;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.data.ParserException;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import net.fortuna.ical4j.model.component.VEvent;
import org.junit.jupiter.api.Test;

/** A term as a calendar file: by RFC 5545, and read back by the library that reads what others write. */
class ClassCalendarTest {

    private static final MapIndex INDEX = MapIndex.of(MapFolder.read(Path.of("../demo/map")));
    private static final UUID ID = new UUID(0, 7);
    private static final Instant CHANGED = Instant.parse("2026-11-20T10:00:00Z");

    private static Lesson lesson(String title) {
        return LessonJson.read("""
                {"format":"narrowgate-class/1","title":"%s","day":"2026-11-27","starts":"19:30","minutes":75,"usual":"step-by-step",
                "here":["00000000-0000-0000-0000-000000000001"],
                "planned":[{"unit":"new:low-trap-bridge","section":"new","minutes":9,"reactions":["low-trap-bridge"]}]}""".formatted(title));
    }

    private static String file(String title) {
        return ClassCalendar.of(INDEX, "Quarrystep, Ebbenholt", List.of(new ClassCalendar.Dated(ID, CHANGED, lesson(title))));
    }

    @Test
    void isReadBackByWhatReadsCalendars() throws IOException, ParserException {
        String title = "Tonight: mount; what if they post, and then? ".repeat(2).strip();
        Calendar calendar = new CalendarBuilder().build(new StringReader(file(title)));
        assertThat(calendar.validate().hasErrors()).isFalse();
        VEvent event = calendar.<VEvent>getComponents(Component.VEVENT).get(0);
        assertThat(event.getUid().orElseThrow().getValue()).isEqualTo(ID + "@narrow-gate");
        assertThat(event.getSummary().getValue()).isEqualTo(title);
        assertThat(event.<LocalDateTime>getDateTimeStart().getDate()).isEqualTo(LocalDateTime.parse("2026-11-27T19:30"));
        assertThat(event.getDuration().getDuration()).isEqualTo(Duration.ofMinutes(75));
        assertThat(event.getRequiredProperty(Property.LOCATION).getValue()).isEqualTo("Quarrystep, Ebbenholt");
        assertThat(event.getDescription().getValue()).contains(INDEX.reactionTitle(INDEX.reaction(Id.of("low-trap-bridge")).orElseThrow()));
    }

    /** RFC 5545: lines end with CR and LF (3.1), none is longer than 75 octets, and a time without a zone floats (3.3.5). */
    @Test
    void keepsToTheRulesForLinesAndTimes() {
        String text = file("Zwölf ".repeat(14).strip());
        assertThat(text).startsWith("BEGIN:VCALENDAR\r\n").endsWith("END:VCALENDAR\r\n").contains("\r\nDTSTART:20261127T193000\r\n")
                .contains("\r\nDURATION:PT1H15M\r\n").contains("\r\nDTSTAMP:20261120T100000Z\r\n").doesNotContain("000000000001");
        assertThat(text.split("\r\n")).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75));
        assertThat(text.replace("\r\n", "")).doesNotContain("\n");
    }
}
