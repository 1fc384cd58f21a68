package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A technique used in one situation.
 *
 * @param from the situation
 * @param technique what is done
 * @param when what they do or hold that makes it the one to choose; may be empty
 * @param doNot why it is wrong, for what people do and should not; empty for an answer. What is wrong is never
 *     recommended and no way out: it is told apart, with where it leads
 * @param needs facts that must not be contradicted there
 * @param seconds time from the decision until it is under way
 * @param works the chance that it gets going against an even partner of the same level
 * @param source where that chance comes from, where it was learned on the mat; left out where it speaks of another figure, as when
 *     somebody has put in their own since
 * @param stuffed where a failed attempt lands; empty for the same situation
 * @param responses the top player's answers; may be empty while none is known
 */
public record Reaction(Id id, Id from, Id technique, String when, String doNot, Map<Id, Boolean> needs, double seconds, Likelihood works,
        Optional<Source> source, Optional<Id> stuffed, List<Response> responses) implements Part {

    /** Time a reaction may take. */
    public static final Range SECONDS = new Range(0, 120, "seconds");

    public Reaction {
        Text.SENTENCE.require("When it is the one to choose", when);
        Text.SENTENCE.require("Why not to do it", doNot);
        SECONDS.require("A reaction's time", seconds);
        Range.CHANCE.require("How often it works", works.chance());
        source = source.filter(one -> works.equals(Likelihood.of(one.chance())));
        needs = Collections.unmodifiableMap(new LinkedHashMap<>(needs));
        responses = List.copyOf(responses);
    }

    /** One whose chance nobody learned on the mat. */
    public Reaction(Id id, Id from, Id technique, String when, String doNot, Map<Id, Boolean> needs, double seconds, Likelihood works,
            Optional<Id> stuffed, List<Response> responses) {
        this(id, from, technique, when, doNot, needs, seconds, works, Optional.empty(), stuffed, responses);
    }

    /** An answer of which nobody has said what it answers. */
    public static Reaction answer(Id id, Id from, Id technique, Map<Id, Boolean> needs, double seconds, Likelihood works,
            Optional<Id> stuffed, List<Response> responses) {
        return new Reaction(id, from, technique, "", "", needs, seconds, works, stuffed, responses);
    }

    /** True for what people do and should not. */
    public boolean isWrong() {
        return !doNot.isEmpty();
    }

    /** Where a failed attempt lands: {@link #stuffed} or the situation itself. */
    public Id whenStuffed() {
        return stuffed.orElse(from);
    }

    /** The response with that id. */
    public Optional<Response> response(Id responseId) {
        return responses.stream().filter(r -> r.id().equals(responseId)).findFirst();
    }

    /** What was thought of its chance before any of it was learned on the mat. */
    public Likelihood before() {
        return source.map(Source::before).orElse(works);
    }

    /** The same reaction, getting going as often as was learned on the mat. */
    public Reaction learned(Source told) {
        return new Reaction(id, from, technique, when, doNot, needs, seconds, Likelihood.of(told.chance()), Optional.of(told), stuffed, responses);
    }

    /** The same reaction in another situation. */
    Reaction withFrom(Id situation) {
        return new Reaction(id, situation, technique, when, doNot, needs, seconds, works, source, stuffed, responses);
    }

    /** The same reaction by another technique. */
    Reaction withTechnique(Id other) {
        return new Reaction(id, from, other, when, doNot, needs, seconds, works, source, stuffed, responses);
    }

    /** The same reaction, landing elsewhere when it is stuffed. */
    Reaction withStuffed(Optional<Id> place) {
        return new Reaction(id, from, technique, when, doNot, needs, seconds, works, source, place, responses);
    }

    /** The same reaction with other needs. */
    public Reaction withNeeds(Map<Id, Boolean> others) {
        return new Reaction(id, from, technique, when, doNot, others, seconds, works, source, stuffed, responses);
    }

    /** The same reaction with other responses. */
    public Reaction withResponses(List<Response> others) {
        return new Reaction(id, from, technique, when, doNot, needs, seconds, works, source, stuffed, others);
    }

    /** The same reaction with {@code response} put in the place of the one with its id, or at the end. */
    public Reaction withResponse(Response response) {
        return withResponses(Entries.put(responses, response, Response::id));
    }

    /** The same reaction without the response of that id. */
    public Reaction withoutResponse(Id responseId) {
        List<Response> kept = new ArrayList<>(responses);
        kept.removeIf(r -> r.id().equals(responseId));
        return withResponses(kept);
    }
}
