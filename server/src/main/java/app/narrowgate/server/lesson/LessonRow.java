package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.exchange.lesson.LessonJson;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/**
 * A class as it is stored.
 *
 * @param body in the format {@code narrowgate-class/1}
 */
record LessonRow(UUID id, UUID mapId, int version, LocalDate day, String body, UUID author, @Nullable String authorName, Instant at) {

    Lesson lesson() {
        return LessonJson.read(body);
    }
}
