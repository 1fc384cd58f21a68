package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.ConflictException;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What planning a term needs of its classes, and what it asks of them. */
@Service
public class TermLessons {

    /** A class as it is kept, in its state. */
    public record Dated(UUID id, int version, Lesson lesson) {

        /** True where nothing more can be planned in it: it was run, or its day is over. */
        public boolean isOver(LocalDate today) {
            return lesson.isOver(today);
        }
    }

    /** What a term asks of a class: units by their keys, the most important first. */
    public record Asked(UUID id, int version, List<String> units) {
    }

    private final LessonStore lessons;
    private final LessonPlanner planner;

    TermLessons(LessonStore lessons, LessonPlanner planner) {
        this.lessons = lessons;
        this.planner = planner;
    }

    /** The classes of some days as they follow on each other. */
    public List<Dated> between(UUID mapId, LocalDate from, LocalDate until) {
        return lessons.between(mapId, from, until).stream().map(row -> new Dated(row.id(), row.version(), row.lesson()))
                .sorted(Comparator.comparing((Dated one) -> one.lesson().day()).thenComparing(one -> one.lesson().starts())).toList();
    }

    /**
     * Keeps what a term asks of its classes, of all or of none; those in which somebody is here already are planned anew.
     *
     * @throws ConflictException when somebody has changed one of them meanwhile
     */
    @Transactional
    public void ask(StoredMap map, List<Asked> asked, SignedIn by) {
        for (Asked one : asked) {
            Lesson lesson = lessons.one(map.id(), one.id()).lesson().asked(one.units());
            lessons.change(map.id(), one.id(), one.version(), planner.plan(map, one.id(), lesson, by).in(lesson), by.id());
        }
    }
}
