package app.narrowgate.server.odds;

import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.server.map.StoredMap;
import org.springframework.stereotype.Service;

/** Solved odds, for every feature that starts from them. */
@Service
public class OddsStore {

    private final AnswerStore answers;

    OddsStore(AnswerStore answers) {
        this.answers = answers;
    }

    /** The odds of a map under a setting. */
    public Odds odds(StoredMap map, Setting setting) {
        return answers.answer(AnswerStore.Question.of(map, setting, "odds"),
                () -> OddsSolver.solve(map.index(), setting));
    }
}
