package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.RetiredIds;
import app.narrowgate.server.problem.NotFoundException;
import java.util.Optional;

/** Changes of a map as pure functions. */
final class MapEdits {

    private MapEdits() {
    }

    static EscapeMap addResponse(EscapeMap map, RetiredIds retired, Id reactionId, ResponseEdit edit) {
        Reaction reaction = reaction(map, reactionId);
        return map.with(reaction.withResponse(response(retired.free(edit.cue(), reaction), edit)));
    }

    static EscapeMap removeResponse(EscapeMap map, Id reactionId, Id id) {
        Reaction reaction = reaction(map, reactionId);
        response(reaction, id);
        return map.with(reaction.withoutResponse(id));
    }

    /**
     * The response under another reaction, behind those already there; its id changes where that one has or had it
     * already.
     */
    static EscapeMap moveResponse(EscapeMap map, RetiredIds retired, Id fromId, Id id, Id toId) {
        Reaction from = reaction(map, fromId);
        Response response = response(from, id);
        if (fromId.equals(toId)) {
            return map;
        }
        Reaction to = reaction(map, toId);
        Id free = retired.isFree(id, to) ? id : retired.free(response.cue(), to);
        return map.with(from.withoutResponse(id))
                .with(to.withResponse(new Response(free, response.cue(), response.often(), response.leads())));
    }

    static Principle principle(EscapeMap map, Id id) {
        return map.principles().stream().filter(p -> p.id().equals(id)).findFirst()
                .orElseThrow(() -> new NotFoundException("No principle is called “%s”.".formatted(id)));
    }

    static Reaction reaction(EscapeMap map, Id id) {
        return map.reactions().stream().filter(r -> r.id().equals(id)).findFirst()
                .orElseThrow(() -> new NotFoundException(
                        "No reaction is called “%s”; it may have been taken out meanwhile.".formatted(id)));
    }

    static Response response(Reaction reaction, Id id) {
        return reaction.response(id).orElseThrow(() -> new NotFoundException(
                "No response of this reaction is called “%s”; it may have been taken out meanwhile.".formatted(id)));
    }

    private static Response response(Id id, ResponseEdit edit) {
        return new Response(id, edit.cue().strip(), edit.often().toLikelihood("How often they do it"),
                optional(edit.leads()));
    }

    private static Optional<Id> optional(String id) {
        return id == null || id.isBlank() ? Optional.empty() : Optional.of(Id.of(id));
    }
}
