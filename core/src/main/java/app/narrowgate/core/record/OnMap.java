package app.narrowgate.core.record;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Technique;

/** Asks that what an event names stands on the map. */
public final class OnMap {

    private OnMap() {
    }

    /**
     * Nothing, where all of it does.
     *
     * @throws RefusedException naming what is missing, and what to do
     */
    public static void require(MapIndex index, Event event) {
        if (event instanceof Event.Round round) {
            require(index, round);
        } else if (event instanceof Event.Keep kept) {
            reaction(index, kept.reaction());
        } else if (event instanceof Event.Repetitions done) {
            require(index, done);
        } else if (event instanceof Event.GateDecision decided && index.situation(decided.place()).isEmpty()) {
            throw new RefusedException("The map has no place “%s” in which an answer could be shown; choose another.".formatted(decided.place()));
        } else if (event instanceof Event.Reading read) {
            require(index, read);
        }
    }

    private static void require(MapIndex index, Event.Repetitions done) {
        Technique technique = technique(index, done.technique());
        done.reaction().filter(id -> !reaction(index, id).technique().equals(technique.id())).ifPresent(id -> {
            throw new RefusedException("“%s” is not an answer by “%s”; choose another, or leave it away.".formatted(id, technique.title()));
        });
    }

    private static void require(MapIndex index, Event.Round round) {
        if (index.situation(round.start()).isEmpty()) {
            throw new RefusedException("The map has no place “%s” in which a round could begin; choose another.".formatted(round.start()));
        }
        round.ending().place().filter(place -> !index.isPlace(place)).ifPresent(place -> {
            throw new RefusedException("The map has no place “%s” in which a round could end; choose another.".formatted(place));
        });
        round.reaction().ifPresent(id -> {
            Reaction reaction = reaction(index, id);
            round.response().filter(response -> reaction.response(response).isEmpty()).ifPresent(response -> {
                throw new RefusedException("“%s” is not answered by “%s” on the map; choose another, or leave it away.".formatted(id, response));
            });
        });
    }

    private static void require(MapIndex index, Event.Reading read) {
        if (index.situation(read.place()).isEmpty()) {
            throw new RefusedException("The map has no place “%s” whose cue could be read; leave that away.".formatted(read.place()));
        }
        reaction(index, read.reaction());
        technique(index, read.chosen());
    }

    private static Reaction reaction(MapIndex index, Id id) {
        return index.reaction(id).orElseThrow(() -> new RefusedException("The map has no answer “%s”; choose another, or leave it away.".formatted(id)));
    }

    private static Technique technique(MapIndex index, Id id) {
        return index.technique(id).orElseThrow(() -> new RefusedException("The map has no technique “%s”; choose another.".formatted(id)));
    }
}
