package app.narrowgate.server.review;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.review.Finding;
import app.narrowgate.server.account.SignedIn;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Findings that a coach has looked at and knows better about, with the reason. */
@Service
class Dismissals {

    /** What a finding is about, whatever the setting. */
    record Key(String kind, String place, String response) {
        static Key of(Finding finding) {
            return new Key(finding.kind().code(), finding.place().value(),
                    finding.response().map(Object::toString).orElse(""));
        }
    }

    /** Why a finding was dismissed, by whom and when. */
    record Row(String kind, String place, String response, String reason, String authorName, Instant at) {
        Key key() {
            return new Key(kind, place, response);
        }
    }

    private final DismissalMapper mapper;
    private final Clock clock;

    Dismissals(DismissalMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    Map<Key, Row> of(UUID mapId) {
        Map<Key, Row> rows = new HashMap<>();
        mapper.of(mapId).forEach(row -> rows.put(row.key(), row));
        return rows;
    }

    @Transactional
    void dismiss(UUID mapId, Key key, String reason, SignedIn who) {
        Text.WORDS.require("The reason", reason.strip());
        mapper.put(mapId, key, reason.strip(), who.id(), clock.instant().truncatedTo(ChronoUnit.MICROS));
    }

    @Transactional
    void takeBack(UUID mapId, Key key) {
        mapper.delete(mapId, key);
    }
}
