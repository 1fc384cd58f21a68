package app.narrowgate.core.review;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.PlaceKind;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Conditions;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What a map does not yet say that a partner, a drill or a student needs to hear: what an answer answers, a cue that can
 * be perceived, what a failed try costs, what can be begun from a place of rest, whose turn it is after a reversal that
 * something leads to. None of it can be given a price. Cost linear in the map.
 */
final class TeachingGaps {

    private final MapIndex index;
    private final Conditions conditions;
    private final List<Finding> findings = new ArrayList<>();

    private TeachingGaps(MapIndex index, Conditions conditions) {
        this.index = index;
        this.conditions = conditions;
    }

    /** The gaps of a map, in its order. */
    static List<Finding> of(MapIndex index, Conditions conditions) {
        TeachingGaps gaps = new TeachingGaps(index, conditions);
        boolean judges = gaps.canJudgeCues();
        index.map().reactions().forEach(reaction -> gaps.reaction(reaction, judges));
        index.map().situations().forEach(gaps::situation);
        Set<Id> landings = landings(index.map());
        index.map().outcomes().stream().filter(outcome -> landings.contains(outcome.id())).forEach(gaps::outcome);
        return gaps.findings;
    }

    /** Wherever something leads. */
    private static Set<Id> landings(EscapeMap map) {
        Set<Id> landings = new HashSet<>();
        map.situations().forEach(situation -> situation.clock().ifPresent(clock -> landings.add(clock.becomes())));
        for (Reaction reaction : map.reactions()) {
            reaction.stuffed().ifPresent(landings::add);
            reaction.responses().forEach(response -> response.leads().ifPresent(landings::add));
        }
        return landings;
    }

    private void add(Finding.Kind kind, Id place, Optional<Id> response, String reason, String mend) {
        findings.add(new Finding(kind, place, response, reason, mend, OptionalDouble.empty(), OptionalDouble.empty()));
    }

    private void reaction(Reaction reaction, boolean judgesCues) {
        Situation from = index.situation(reaction.from()).orElseThrow();
        if (reaction.when().isEmpty() && !reaction.isWrong()) {
            add(Finding.Kind.NO_TRIGGER, reaction.id(), Optional.empty(),
                    "Nothing says what they do or hold that calls for it, so nobody can call for it in a drill.",
                    "Write what makes this the one to choose.");
        }
        if (isFreeRetry(reaction, from)) {
            add(Finding.Kind.FREE_RETRY, reaction.id(), Optional.empty(), reaction.stuffed().isEmpty()
                            ? "Nothing says where you are when it fails, so failing costs no more than the time."
                            : "When it fails you are where you were and no clock runs: it can be tried for ever.",
                    "Say where a failed try leaves you.");
        }
        for (Response response : reaction.responses()) {
            if (judgesCues && !Cues.isPerceivable(response.cue())) {
                add(Finding.Kind.VAGUE_CUE, reaction.id(), Optional.of(response.id()),
                        "“%s” names nothing that can be seen or felt.".formatted(response.cue()),
                        "Name the part of the body, the grip or the weight that moves.");
            }
        }
    }

    private boolean isFreeRetry(Reaction reaction, Situation from) {
        return conditions.works(reaction) < 1 && !reaction.isWrong()
                && (reaction.stuffed().isEmpty()
                        || reaction.whenStuffed().equals(from.id()) && from.clock().isEmpty());
    }

    /** Cues are judged by words of one language; of a map in another one most would be found wanting. */
    private boolean canJudgeCues() {
        List<String> cues = index.map().reactions().stream().flatMap(r -> r.responses().stream())
                .map(Response::cue).toList();
        return 2 * cues.stream().filter(Cues::isPerceivable).count() >= cues.size();
    }

    private void situation(Situation situation) {
        boolean goesOn = situation.rest().filter(kind -> kind != PlaceKind.REVERSAL && kind != PlaceKind.COUNTER).isPresent();
        if (goesOn && situation.feeds().isEmpty()) {
            add(Finding.Kind.NO_FEEDS, situation.id(), Optional.empty(),
                    "Nothing says what the partner can begin from here, so a drill that comes here has to stop.",
                    "Name the situations that begin from it.");
        }
    }

    private void outcome(Outcome outcome) {
        if (outcome.kind() == PlaceKind.REVERSAL && outcome.then().isEmpty()) {
            add(Finding.Kind.NO_TURN, outcome.id(), Optional.empty(),
                    "Nothing says where this puts the other one, so a drill cannot go on with the roles swapped.",
                    "Name the situation in which they are now on the bottom.");
        }
    }
}
