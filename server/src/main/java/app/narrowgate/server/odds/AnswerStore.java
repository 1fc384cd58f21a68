package app.narrowgate.server.odds;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.map.StoredMap;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;

/**
 * Computed answers. Those last asked for are kept in memory, by weight, so that few of a very large map take the place
 * of many of a small one; a changed map asks a new question, so nothing stale is ever given. Of several who ask at once
 * one computes and the others wait for it.
 */
@Service
public class AnswerStore {

    /** In responses of the maps answered about: some four hundred answers about a map of five hundred. */
    private static final long MOST_WEIGHT = 200_000;

    /**
     * What was asked.
     *
     * @param about the kind of answer and whatever else it depends on
     * @param weight what an answer weighs, about
     */
    public record Question(UUID map, int revision, Setting setting, String about, int weight) {

        /** The question about a map as it is. */
        public static Question of(StoredMap map, Setting setting, String about) {
            EscapeMap parts = map.index().map();
            int responses = parts.reactions().stream().mapToInt(r -> 1 + r.responses().size()).sum();
            return new Question(map.id(), map.revision(), setting, about, 1 + parts.situations().size() + responses);
        }

        /**
         * A tag that changes whenever the answer could, by another question or another build of the program; a weak
         * one, for a strong one forbids compressing the answer.
         */
        public String tag(String build) {
            return "W/\"%d-%08x%08x-%s\"".formatted(revision, map.hashCode(), toString().hashCode(), build);
        }
    }

    private final AsyncCache<Question, Object> answers = Caffeine.newBuilder().maximumWeight(MOST_WEIGHT)
            .weigher((Question question, Object answer) -> question.weight()).buildAsync();

    /** The answer from memory, from whoever is computing it now, or computed now. */
    @SuppressWarnings("unchecked")
    public <T> T answer(Question question, Supplier<T> compute) {
        while (true) {
            CompletableFuture<Object> mine = new CompletableFuture<>();
            CompletableFuture<Object> known = answers.asMap().putIfAbsent(question, mine);
            if (known == null) {
                return computed(question, mine, compute);
            }
            try {
                return (T) known.join();
            } catch (CompletionException e) {
                // Whoever computed it was stopped, and had nobody else in mind: the next one computes for himself.
                if (!(e.getCause() instanceof StoppedException)) {
                    throw e.getCause() instanceof RuntimeException cause ? cause : e;
                }
            }
        }
    }

    private <T> T computed(Question question, CompletableFuture<Object> mine, Supplier<T> compute) {
        try {
            T answer = compute.get();
            mine.complete(answer);
            return answer;
        } catch (RuntimeException | Error e) {
            answers.asMap().remove(question, mine);
            mine.completeExceptionally(e);
            throw e;
        }
    }
}
