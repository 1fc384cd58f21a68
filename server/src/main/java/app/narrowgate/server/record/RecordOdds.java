package app.narrowgate.server.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.record.Beliefs;
import app.narrowgate.core.record.DoubtfulOdds;
import app.narrowgate.core.record.Learner;
import app.narrowgate.core.record.ToLog;
import app.narrowgate.core.record.Truth;
import app.narrowgate.core.record.Truths;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.odds.AnswerStore;
import app.narrowgate.server.odds.SolvedMaps;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** The odds of a map by what the record says, and how sure they are. What was computed is kept until something more is logged, or the day is over. */
@Service
public class RecordOdds {

    /** Odds look the same whenever they are looked at. */
    private static final long SEED = 1;

    /** Beginnings that are weighed to narrow one place. */
    private static final int BEGINNINGS = 6;

    /** As many places are weighed for each that is told. */
    private static final int LOOKED_AT = 4;

    /**
     * What is asked: whose record, as it is.
     *
     * @param state the record's state
     */
    record Asked(Optional<UUID> person, String state, LocalDate day) {
    }

    private final RecordStore store;
    private final SolvedMaps solved;
    private final AnswerStore answers;
    private final Clock clock;

    RecordOdds(RecordStore store, SolvedMaps solved, AnswerStore answers, Clock clock) {
        this.store = store;
        this.solved = solved;
        this.answers = answers;
        this.clock = clock;
    }

    /** Everybody's record, or one person's, as it is now. */
    Asked now(UUID mapId, Optional<UUID> person) {
        return new Asked(person, store.state(mapId), LocalDate.ofInstant(clock.instant(), ZoneOffset.UTC));
    }

    /** The setting in which rounds are logged: an even pair, a partner by habit, nobody late; what differs is told by each round. */
    public static Setting ofRounds(MapIndex index) {
        return Setting.of(index.map().aims().get(0).id()).withThinking(index.map().house().thinking());
    }

    /** What is believed of a map. */
    Beliefs beliefs(StoredMap map, Asked asked) {
        return answers.answer(question(map, ofRounds(map.index()), "beliefs", asked), () -> {
            Learner learner = new Learner(solved.solved(map, ofRounds(map.index())).converged());
            Instant now = clock.instant();
            return asked.person().isEmpty() ? learner.learn(store.tally(map.id(), Optional.empty(), now))
                    : learner.learn(beliefs(map, new Asked(Optional.empty(), asked.state(), asked.day())), store.tally(map.id(), asked.person(), now));
        });
    }

    /** The odds under a setting by what is believed. */
    DoubtfulOdds odds(StoredMap map, Setting setting, Asked asked) {
        return answers.answer(question(map, setting, "doubtful odds", asked), () -> {
            SolvedMap written = solved.solved(map, setting).converged();
            return DoubtfulOdds.of(written, beliefs(map, asked), DoubtfulOdds.DRAWS, SEED);
        });
    }

    /** What the map says beside what was seen. */
    Truth truth(StoredMap map, Asked asked) {
        Setting setting = ofRounds(map.index());
        return answers.answer(question(map, setting, "truth", asked),
                () -> new Truths(solved.solved(map, setting).converged(), beliefs(map, asked)).of(store.seen(map.id())));
    }

    /** Which rounds would tell most of the places in which rounds begin and whose odds are least sure, that which would be narrowed most first. */
    List<ToLog> toLog(StoredMap map, Asked asked, int most) {
        Setting setting = ofRounds(map.index());
        return answers.answer(question(map, setting, "to log " + most, asked), () -> {
            List<Id> starts = map.index().map().situations().stream().filter(one -> one.entry() > 0 && one.rest().isEmpty()).map(Situation::id).toList();
            DoubtfulOdds odds = odds(map, setting, asked);
            return ToLog.each(odds, beliefs(map, asked), starts.stream().sorted(Comparator.comparingDouble((Id one) -> -odds.at(one).width())).limit(LOOKED_AT * most)
                    .toList());
        });
    }

    /** Which rounds would narrow the odds of one place most. */
    Optional<ToLog> toLog(StoredMap map, Asked asked, Id place) {
        Setting setting = ofRounds(map.index());
        return answers.answer(question(map, setting, "to log " + place, asked),
                () -> ToLog.narrowing(odds(map, setting, asked), beliefs(map, asked), place, BEGINNINGS));
    }

    /** How many rounds began in each place. */
    Map<Id, Integer> begun(UUID mapId, Optional<UUID> person) {
        return store.begun(mapId, person);
    }

    private static AnswerStore.Question question(StoredMap map, Setting setting, String what, Asked asked) {
        return AnswerStore.Question.of(map, setting, what + " " + asked).takingTime();
    }
}
