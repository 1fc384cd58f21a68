package app.narrowgate.server.review;

import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.progress.Progress;
import app.narrowgate.core.review.Comparison;
import app.narrowgate.core.review.Finding;
import app.narrowgate.core.review.MapReview;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.SolvedMaps;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Findings of a map, looked for once a revision and setting. */
@Service
public class Reviews {

    private final AnswerStore answers;
    private final SolvedMaps solved;
    private final Dismissals dismissals;

    Reviews(AnswerStore answers, SolvedMaps solved, Dismissals dismissals) {
        this.answers = answers;
        this.solved = solved;
        this.dismissals = dismissals;
    }

    /**
     * Every finding, those that cost most first; on a large map this takes long, so somebody must hear how far it is.
     */
    public List<Finding> findings(StoredMap map, Setting setting, Progress progress) {
        return answers.answer(AnswerStore.Question.of(map, setting, "findings"),
                () -> MapReview.of(solved.solved(map, setting), solved.gates(map, setting, progress)));
    }

    /** The same as the client sees them. */
    public List<FindingView> views(StoredMap map, Setting setting, Progress progress) {
        return findings(map, setting, progress).stream().map(f -> FindingView.of(map.index(), f)).toList();
    }

    /** What changes from {@code before} to {@code after}, each under its own setting; takes as long as two reviews. */
    public ComparisonView compared(StoredMap before, Setting one, StoredMap after, Setting other, Progress progress) {
        return ComparisonView.of(Comparison.of(solved.solved(before, one), findings(before, one, progress),
                solved.solved(after, other), findings(after, other, progress)), before.index(), after.index());
    }

    /** The same, with what has been dismissed by now. */
    public List<FindingView> dismissed(UUID map, List<FindingView> findings) {
        Map<Dismissals.Key, Dismissals.Row> dismissed = dismissals.of(map);
        return findings.stream().map(view -> view.dismissed(dismissed.get(view.key()))).toList();
    }
}
