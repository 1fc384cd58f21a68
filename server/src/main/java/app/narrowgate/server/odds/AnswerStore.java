package app.narrowgate.server.odds;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.StoppedException;
import app.narrowgate.server.map.StoredMap;
import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
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
     * @param takesTime true where it takes long to compute, however large the map is
     */
    public record Question(UUID map, int revision, Setting setting, String about, int weight, boolean takesTime) {

        /** The question about a map as it is. */
        public static Question of(StoredMap map, Setting setting, String about) {
            return new Question(map.id(), map.revision(), setting, about, AnswerStore.weight(map.index()), false);
        }

        /** The same about something that takes long to compute, however large the map is: what is quick does not wait behind it. */
        public Question takingTime() {
            return new Question(map, revision, setting, about, weight, true);
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
    private final Desk desk;

    AnswerStore(Desk desk) {
        this.desk = desk;
    }

    /** So short a name of what an answer depends on that nothing else has it. */
    public static String shortName(String what) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(what.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Impossible state: every platform has SHA-256", e);
        }
    }

    /** The size of a map in situations, reactions and responses. */
    static int weight(MapIndex index) {
        EscapeMap map = index.map();
        return 1 + map.situations().size() + map.reactions().stream().mapToInt(r -> 1 + r.responses().size()).sum();
    }

    /**
     * The answer from memory, from whoever is computing it now, or computed now at the {@link Desk}.
     *
     * @throws app.narrowgate.server.problem.BusyException when the desk has no room or no time
     */
    @SuppressWarnings("unchecked")
    public <T> T answer(Question question, Supplier<T> compute) {
        CompletableFuture<Object> known = answers.getIfPresent(question);
        return known != null && known.isDone() && !known.isCompletedExceptionally()
                ? (T) known.join()
                : desk.compute(question.weight(), question.takesTime(), () -> shared(question, compute));
    }

    @SuppressWarnings("unchecked")
    private <T> T shared(Question question, Supplier<T> compute) {
        while (true) {
            CompletableFuture<Object> mine = new CompletableFuture<>();
            CompletableFuture<Object> known = answers.asMap().putIfAbsent(question, mine);
            if (known == null) {
                return computed(question, mine, compute);
            }
            try {
                return (T) known.get();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new StoppedException();
            } catch (ExecutionException e) {
                // Whoever computed it was stopped, and had nobody else in mind: the next one computes for himself.
                if (!(e.getCause() instanceof StoppedException)) {
                    throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(e.getCause());
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
