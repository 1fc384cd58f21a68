package app.narrowgate.server.odds;

import app.narrowgate.core.gate.GateSweep;
import app.narrowgate.core.gate.NarrowGates;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.server.map.StoredMap;
import org.springframework.stereotype.Service;

/**
 * Every revision is solved once under a setting; odds, gates, review, questions and stances all ask the same solution.
 */
@Service
public class SolvedMaps {

    private final AnswerStore answers;

    SolvedMaps(AnswerStore answers) {
        this.answers = answers;
    }

    /** A map, solved under a setting. */
    public SolvedMap solved(StoredMap map, Setting setting) {
        return answers.answer(AnswerStore.Question.of(map, setting, "solved"),
                () -> SolvedMap.of(map.index(), setting));
    }

    /** The odds of a map under a setting. */
    public Odds odds(StoredMap map, Setting setting) {
        return answers.answer(AnswerStore.Question.of(map, setting, "odds"),
                () -> OddsSolver.of(solved(map, setting)));
    }

    /**
     * The narrow gates of a map under a setting; on a large map this takes long, so somebody must hear how far it is.
     */
    public NarrowGates gates(StoredMap map, Setting setting, Progress progress) {
        return answers.answer(AnswerStore.Question.of(map, setting, "gates"),
                () -> GateSweep.sweep(solved(map, setting), progress));
    }
}
