package app.narrowgate.server.demo;

import app.narrowgate.core.map.Id;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.question.QuestionStore;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Questions that the demo gym's students have asked. */
@Component
@Order(3)
class DemoQuestions implements DemoPart {

    private final Accounts accounts;
    private final MapShelf maps;
    private final QuestionStore questions;

    DemoQuestions(Accounts accounts, MapShelf maps, QuestionStore questions) {
        this.accounts = accounts;
        this.maps = maps;
        this.questions = questions;
    }

    @Override
    public String name() {
        return "questions";
    }

    @Override
    public void load(DemoGym gym) {
        UUID map = maps.first().orElseThrow();
        for (DemoGym.Asked asked : gym.questions()) {
            Account asker = accounts.named(asked.asker()).orElseThrow();
            // The same question has the same id on every load, and asking by a known id changes nothing.
            UUID id = UUID.nameUUIDFromBytes((map + " " + asked.words()).getBytes(StandardCharsets.UTF_8));
            questions.ask(map, id, asked.words(), Optional.ofNullable(asked.situation()).map(Id::of),
                    SignedIn.of(asker));
        }
    }
}
