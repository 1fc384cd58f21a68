package app.narrowgate.server.question;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Likelihood;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapEditing;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.ConflictException;
import app.narrowgate.server.problem.NotFoundException;
import app.narrowgate.server.revision.Traces;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Keeps questions and turns them into responses. An answered question is kept beside its response, so that undoing the
 * answer opens it again.
 */
@Service
public class QuestionStore {

    private final QuestionMapper mapper;
    private final MapStore maps;
    private final MapEditing editing;
    private final Traces traces;
    private final Clock clock;

    QuestionStore(QuestionMapper mapper, MapStore maps, MapEditing editing, Traces traces, Clock clock) {
        this.mapper = mapper;
        this.maps = maps;
        this.editing = editing;
        this.traces = traces;
        this.clock = clock;
    }

    /** Questions that nothing on the map answers, oldest first. */
    List<QuestionRow> open(StoredMap map) {
        return mapper.of(map.id()).stream().filter(row -> !isAnswered(map.index(), row)).toList();
    }

    private static boolean isAnswered(MapIndex index, QuestionRow row) {
        return row.reaction() != null && index.reaction(Id.of(row.reaction()))
                .flatMap(reaction -> reaction.response(Id.of(row.response()))).isPresent();
    }

    /**
     * Keeps a question; asking the same one again, by its id, changes nothing.
     *
     * @throws ConflictException when the id is that of another question
     */
    @Transactional
    public QuestionRow ask(UUID mapId, UUID id, String words, Optional<Id> situation, SignedIn who) {
        maps.requireChangeable(mapId);
        MapIndex index = maps.head(mapId).index();
        situation.filter(s -> index.situation(s).isEmpty()).ifPresent(s -> {
            throw new NotFoundException("No situation is called “%s”.".formatted(s));
        });
        Text.WORDS.require("The question", words.strip());
        mapper.insert(mapId, new QuestionRow(id, words.strip(), situation.map(Id::value).orElse(null), null, null,
                who.id(), who.displayName(), clock.instant().truncatedTo(ChronoUnit.MICROS)));
        return mapper.byId(mapId, id)
                .filter(kept -> kept.words().equals(words.strip())
                        && Objects.equals(kept.situation(), situation.map(Id::value).orElse(null)))
                .orElseThrow(() -> new ConflictException(
                        "The question's id is taken by another question; keep this one under a new id.", Map.of()));
    }

    /** Puts a question to a reaction as what they do about it, with or without a landing. */
    @Transactional
    StoredMap answer(UUID mapId, UUID id, int revision, Id reactionId, Likelihood often, Optional<Id> leads,
            SignedIn who) {
        QuestionRow question = mapper.byId(mapId, id).orElseThrow(QuestionStore::gone);
        String cue = cue(question.words());
        Id[] made = new Id[1];
        StoredMap stored = editing.edit(mapId, revision, who, "Answered “%s”".formatted(question.words()), (map, retired) -> {
            Reaction reaction = MapIndex.of(map).reaction(reactionId).orElseThrow(() -> new NotFoundException(
                    "No reaction is called “%s”; it may have been taken out meanwhile.".formatted(reactionId)));
            made[0] = retired.free(cue, reaction);
            return map.with(reaction.withResponse(new Response(made[0], cue, often, leads)));
        });
        mapper.answered(mapId, id, reactionId.value(), made[0].value());
        return stored;
    }

    /** "hop over the legs" as what they do: "They hop over the legs". */
    private static String cue(String words) {
        String plain = words.replaceAll("[?.\\s]+$", "");
        return plain.toLowerCase(java.util.Locale.ROOT).startsWith("they ") ? plain : "They " + plain;
    }

    @Transactional
    void drop(UUID mapId, UUID id, SignedIn who) {
        maps.requireChangeable(mapId);
        QuestionRow dropped = mapper.byId(mapId, id).orElseThrow(QuestionStore::gone);
        if (mapper.delete(mapId, id) == 0) {
            throw gone();
        }
        traces.leave(mapId, who, "Dropped the question “%s”, which %s had asked"
                .formatted(dropped.words(), dropped.authorName()));
    }

    private static NotFoundException gone() {
        return new NotFoundException("There is no such question; somebody may have answered or dropped it meanwhile.");
    }
}
