package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.KeptShape;
import app.narrowgate.exchange.lesson.LessonJson;
import java.time.Instant;
import java.util.UUID;

/**
 * A shape as it is stored.
 *
 * @param body its parts, as in the format {@code narrowgate-class/1}
 */
record ShapeRow(UUID id, String title, int minutes, String body, UUID author, Instant at) {

    KeptShape shape() {
        return new KeptShape(title, minutes, LessonJson.readShape(body));
    }
}
