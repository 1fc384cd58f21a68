package app.narrowgate.server.question;

import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.UUID;

/**
 * A question as it is stored.
 *
 * @param situation where it was asked; null when nobody knows yet
 * @param reaction to which it was put when it was answered, with {@code response}; null while it is open
 * @param authorName what others see of the author
 */
public record QuestionRow(UUID id, String words, @Nullable String situation, @Nullable String reaction,
        @Nullable String response, UUID author, @Nullable String authorName, Instant at) {
}
