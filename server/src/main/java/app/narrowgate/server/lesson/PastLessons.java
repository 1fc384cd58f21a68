package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.Lesson;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** What is known of the classes that were. */
@Service
public class PastLessons {

    private final LessonStore lessons;

    PastLessons(LessonStore lessons) {
        this.lessons = lessons;
    }

    /**
     * Classes of some days that were run or whose day is over, as they follow on each other.
     *
     * @param today the day on which that is asked
     */
    public List<Lesson> between(UUID mapId, LocalDate from, LocalDate until, LocalDate today) {
        return lessons.between(mapId, from, until).stream().map(LessonRow::lesson).filter(one -> one.isOver(today))
                .sorted(Comparator.comparing(Lesson::day).thenComparing(Lesson::starts)).toList();
    }

    /** Somebody came to a class, which has an id. */
    public record Came(UUID lesson, Instant at, UUID person) {
    }

    /** Who came to the classes of some days that were run or whose day is over. */
    public List<Came> came(UUID mapId, LocalDate from, LocalDate until, LocalDate today) {
        return lessons.between(mapId, from, until).stream().filter(row -> row.lesson().isOver(today)).flatMap(row -> row.lesson().here().stream()
                .map(person -> new Came(row.id(), row.lesson().day().atTime(row.lesson().starts()).toInstant(ZoneOffset.UTC), person))).toList();
    }

    /** Another word whenever a class was kept, changed, taken out or put back. */
    public String state(UUID mapId) {
        return lessons.state(mapId);
    }
}
