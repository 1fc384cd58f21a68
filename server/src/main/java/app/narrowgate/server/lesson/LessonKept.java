package app.narrowgate.server.lesson;

import app.narrowgate.server.account.Kept;
import app.narrowgate.server.person.People;
import app.narrowgate.server.person.PersonTold;
import java.util.UUID;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of somebody: the classes that they were in. */
@Component
@Order(4)
class LessonKept implements Kept, PersonTold {

    /** A class that somebody was in. */
    record Told(String day, String starts, String title, int minutes) {
    }

    private final LessonStore lessons;
    private final ObjectProvider<People> people;

    /** The roster asks for this, too; so it is looked up when it is needed. */
    LessonKept(LessonStore lessons, ObjectProvider<People> people) {
        this.lessons = lessons;
        this.people = people;
    }

    @Override
    public String file() {
        return "classes";
    }

    @Override
    public Object of(UUID someone) {
        UUID person = people.getObject().of(someone).orElse(someone);
        return lessons.with(person).stream().map(LessonRow::lesson).filter(lesson -> lesson.here().contains(person))
                .map(lesson -> new Told(lesson.day().toString(), lesson.starts().toString(), lesson.title(), lesson.minutes())).toList();
    }
}
