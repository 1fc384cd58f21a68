package app.narrowgate.server.odds;

import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.server.map.StoredMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Solved odds. The last few questions are answered from memory as long as the map has not changed. */
@Service
public class OddsStore {

    private static final int MOST_KEPT = 400;

    private record Question(UUID map, int revision, Setting setting) {
    }

    private final Map<Question, Odds> answers = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Question, Odds> eldest) {
            return size() > MOST_KEPT;
        }
    };

    /** The odds of a map under a setting. */
    public Odds odds(StoredMap map, Setting setting) {
        Question question = new Question(map.id(), map.revision(), setting);
        synchronized (answers) {
            Odds known = answers.get(question);
            if (known != null) {
                return known;
            }
        }
        Odds solved = OddsSolver.solve(map.index(), setting);
        synchronized (answers) {
            answers.put(question, solved);
        }
        return solved;
    }
}
