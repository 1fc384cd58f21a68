package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.Lesson;
import java.time.LocalDate;
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

    /** Another word whenever a class was kept, changed, taken out or put back. */
    public String state(UUID mapId) {
        return lessons.state(mapId);
    }
}
