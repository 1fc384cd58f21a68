package app.narrowgate.server.map;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Technique;
import app.narrowgate.server.problem.NotFoundException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Changes of a map as pure functions. */
final class MapEdits {

    private MapEdits() {
    }

    static EscapeMap addReaction(EscapeMap map, Id from, ReactionEdit edit) {
        MapIndex.of(map).situation(from)
                .orElseThrow(() -> new NotFoundException("No situation is called “%s”.".formatted(from)));
        EscapeMap taught = withNewTechnique(map, edit);
        Id technique = techniqueOf(map, taught, edit);
        Id id = EscapeMap.freeId(from + "-" + technique, map.reactions(), Reaction::id);
        return taught.with(reaction(id, from, technique, edit, List.of()));
    }

    static EscapeMap changeReaction(EscapeMap map, Id id, ReactionEdit edit) {
        Reaction old = reaction(map, id);
        EscapeMap taught = withNewTechnique(map, edit);
        return taught.with(reaction(id, old.from(), techniqueOf(map, taught, edit), edit, old.responses()));
    }

    static EscapeMap removeReaction(EscapeMap map, Id id) {
        reaction(map, id);
        return map.withoutReaction(id);
    }

    static EscapeMap addResponse(EscapeMap map, Id reactionId, ResponseEdit edit) {
        Reaction reaction = reaction(map, reactionId);
        Id id = EscapeMap.freeId(edit.cue(), reaction.responses(), Response::id);
        return map.with(reaction.withResponse(response(id, edit)));
    }

    static EscapeMap changeResponse(EscapeMap map, Id reactionId, Id id, ResponseEdit edit) {
        Reaction reaction = reaction(map, reactionId);
        response(reaction, id);
        return map.with(reaction.withResponse(response(id, edit)));
    }

    static EscapeMap removeResponse(EscapeMap map, Id reactionId, Id id) {
        Reaction reaction = reaction(map, reactionId);
        response(reaction, id);
        return map.with(reaction.withoutResponse(id));
    }

    static EscapeMap changeRule(EscapeMap map, Id id, RuleEdit edit) {
        RateRule old = map.rulesInForce().stream().filter(r -> r.id().equals(id)).findFirst()
                .orElseThrow(() -> new NotFoundException("No rule is called “%s”.".formatted(id)));
        return map.with(new RateRule(id, old.title(), old.gauge(), edit.above(), edit.most(), old.target(),
                old.effect(), edit.amount(), edit.reason().strip(), edit.source().strip()));
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

    private static EscapeMap withNewTechnique(EscapeMap map, ReactionEdit edit) {
        boolean named = edit.technique() != null && !edit.technique().isBlank();
        boolean isNew = edit.newTechnique() != null && !edit.newTechnique().isBlank();
        if (named == isNew) {
            throw new IllegalArgumentException("Choose a technique, or write the name of a new one.");
        }
        if (named) {
            return map;
        }
        Id id = EscapeMap.freeId(edit.newTechnique(), map.techniques(), Technique::id);
        return map.with(Technique.named(id, edit.newTechnique().strip()));
    }

    private static Id techniqueOf(EscapeMap before, EscapeMap after, ReactionEdit edit) {
        return before.techniques().size() == after.techniques().size()
                ? Id.of(edit.technique())
                : after.techniques().get(after.techniques().size() - 1).id();
    }

    private static Reaction reaction(Id id, Id from, Id technique, ReactionEdit edit, List<Response> responses) {
        Map<Id, Boolean> needs = new LinkedHashMap<>();
        edit.needs().forEach((fact, needed) -> needs.put(Id.of(fact), needed));
        return new Reaction(id, from, technique, needs, edit.seconds(), edit.works().toLikelihood("How often it works"),
                optional(edit.stuffed()), responses);
    }

    private static Response response(Id id, ResponseEdit edit) {
        return new Response(id, edit.cue().strip(), edit.often().toLikelihood("How often they do it"),
                optional(edit.leads()));
    }

    private static Optional<Id> optional(String id) {
        return id == null || id.isBlank() ? Optional.empty() : Optional.of(Id.of(id));
    }
}
