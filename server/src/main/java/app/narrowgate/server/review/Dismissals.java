package app.narrowgate.server.review;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.review.Finding;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.revision.Traces;
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
    private final Traces traces;
    private final Clock clock;

    Dismissals(DismissalMapper mapper, Traces traces, Clock clock) {
        this.mapper = mapper;
        this.traces = traces;
        this.clock = clock;
    }

    Map<Key, Row> of(UUID mapId) {
        Map<Key, Row> rows = new HashMap<>();
        mapper.of(mapId).forEach(row -> rows.put(row.key(), row));
        return rows;
    }

    /** Says why a finding is none; what was said before leaves a trace. */
    @Transactional
    void dismiss(UUID mapId, Key key, String reason, SignedIn who) {
        Text.WORDS.require("The reason", reason.strip());
        mapper.byKey(mapId, key).filter(before -> !before.reason().equals(reason.strip())).ifPresent(before ->
                traces.leave(mapId, who, "Wrote over why the finding about %s is none; %s had said “%s”"
                        .formatted(about(key), before.authorName(), before.reason())));
        mapper.put(mapId, key, reason.strip(), who.id(), clock.instant().truncatedTo(ChronoUnit.MICROS));
    }

    /** Lets a finding count again, with a trace of why it did not; nothing where it did already. */
    @Transactional
    void takeBack(UUID mapId, Key key, SignedIn who) {
        mapper.byKey(mapId, key).ifPresent(before -> {
            mapper.delete(mapId, key);
            traces.leave(mapId, who, "Let the finding about %s count again; %s had said “%s”"
                    .formatted(about(key), before.authorName(), before.reason()));
        });
    }

    private static String about(Key key) {
        return "“%s”".formatted(key.response().isEmpty() ? key.place() : key.place() + "/" + key.response());
    }
}
