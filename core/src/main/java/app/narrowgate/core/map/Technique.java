package app.narrowgate.core.map;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A reusable piece of teaching.
 *
 * @param alsoCalled other names that somebody may type; found by search, never shown as the title
 * @param movements the body skills it uses, in order
 * @param checkpoints short reminders, in order, at most {@value #MOST_CHECKPOINTS}
 * @param faults what goes wrong, how it feels, and the mend
 * @param questions "what if they ...?" with the answer
 * @param cautions what can hurt
 * @param stance the stance it takes, where coaches disagree
 * @param level for whom it is meant
 * @param children whether children may do it
 * @param avoidWith injuries that forbid it
 * @param leansOn what a matchup can take away from it
 */
public record Technique(Id id, String title, List<String> alsoCalled, List<Id> movements, List<String> checkpoints, List<Fault> faults,
        List<Question> questions, List<String> cautions, Optional<StanceRef> stance, Level level, boolean children,
        Set<Injury> avoidWith, Set<Lean> leansOn) implements Part {

    /** More than this many checkpoints cannot be kept in mind between two rounds. */
    public static final int MOST_CHECKPOINTS = 8;

    public Technique {
        Text.TITLE.require("A technique's title", title);
        alsoCalled = PlaceNotes.names(alsoCalled);
        movements = List.copyOf(movements);
        checkpoints = List.copyOf(checkpoints);
        faults = List.copyOf(faults);
        questions = List.copyOf(questions);
        cautions = List.copyOf(cautions);
        avoidWith = Set.copyOf(avoidWith);
        leansOn = Set.copyOf(leansOn);
        if (checkpoints.size() > MOST_CHECKPOINTS) {
            throw new RefusedException("%d checkpoints; at most %d can be kept in mind."
                    .formatted(checkpoints.size(), MOST_CHECKPOINTS));
        }
        checkpoints.forEach(line -> Text.WORDS.require("A checkpoint", line));
        cautions.forEach(line -> Text.WORDS.require("A caution", line));
    }

    /** A technique of which only the name is known yet. */
    public static Technique named(Id id, String title) {
        return new Technique(id, title, List.of(), List.of(), List.of(), List.of(), List.of(), List.of(), Optional.empty(),
                Level.NOVICE, true, Set.of(), Set.of());
    }

    /** The same technique with other movements. */
    Technique withMovements(List<Id> others) {
        return new Technique(id, title, alsoCalled, others, checkpoints, faults, questions, cautions, stance, level, children,
                avoidWith, leansOn);
    }

    /** The same technique with another stance, or none. */
    Technique withStance(Optional<StanceRef> other) {
        return new Technique(id, title, alsoCalled, movements, checkpoints, faults, questions, cautions, other, level, children,
                avoidWith, leansOn);
    }

    /** The same technique with other cautions. */
    public Technique withCautions(List<String> others) {
        return new Technique(id, title, alsoCalled, movements, checkpoints, faults, questions, others, stance, level, children,
                avoidWith, leansOn);
    }

    /** The same technique, for children or not. */
    public Technique forChildren(boolean may) {
        return new Technique(id, title, alsoCalled, movements, checkpoints, faults, questions, cautions, stance, level, may,
                avoidWith, leansOn);
    }

    /** If you feel the sign, it is because of the cause; mend it so. */
    public record Fault(String sign, String cause, String fix) {
        public Fault {
            Text.WORDS.require("A fault's sign", sign);
            Text.SENTENCE.require("A fault's cause", cause);
            Text.SENTENCE.require("A fault's fix", fix);
        }
    }

    /** A "what if they ...?" about the technique, with its answer, which may still be empty. */
    public record Question(String ask, String answer) {
        public Question {
            Text.WORDS.require("A question", ask);
            Text.SENTENCE.require("An answer", answer);
        }
    }
}
