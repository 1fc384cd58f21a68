package app.narrowgate.server.odds;

import app.narrowgate.core.odds.Setting;
import app.narrowgate.server.map.StoredMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/** Computed answers. The last few are kept in memory; a changed map asks a new question, so nothing stale is ever given. */
@Service
public class AnswerStore {

    private static final int MOST_KEPT = 400;

    /**
     * What was asked.
     *
     * @param about the kind of answer and whatever else it depends on
     */
    public record Question(UUID map, int revision, Setting setting, String about) {

        /** The question about a map as it is. */
        public static Question of(StoredMap map, Setting setting, String about) {
            return new Question(map.id(), map.revision(), setting, about);
        }

        /** A tag that changes whenever the answer could; a weak one, for a strong one forbids compressing the answer. */
        public String tag() {
            return "W/\"%d-%08x%08x\"".formatted(revision, map.hashCode(), toString().hashCode());
        }
    }

    private final Map<Question, Object> answers = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Question, Object> eldest) {
            return size() > MOST_KEPT;
        }
    };

    /** The answer from memory, or computed now. Two who ask at once may both compute; they get the same. */
    @SuppressWarnings("unchecked")
    public <T> T answer(Question question, Supplier<T> compute) {
        synchronized (answers) {
            Object known = answers.get(question);
            if (known != null) {
                return (T) known;
            }
        }
        T computed = compute.get();
        synchronized (answers) {
            answers.put(question, computed);
        }
        return computed;
    }
}
