package app.narrowgate.server.map;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.narrowgate.core.right.Role;
import app.narrowgate.server.TestServer;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import java.util.UUID;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A revision that the database took back was never there: not in the memory of the newest states either. */
class HeadCacheTest {

    private static TestServer server;
    private static UUID map;
    private static SignedIn who;
    private static GymScope.Entered entered;

    @BeforeAll
    static void start() {
        server = TestServer.start();
        map = UUID.fromString(server.signedIn().firstMap());
        UUID gym = server.bean(Gyms.class).all().get(0).id();
        who = SignedIn.of(server.bean(Accounts.class).add(gym, Role.INSTRUCTOR, "quill", "Quill Ashdown", "a-long-enough-password"));
        entered = GymScope.of(gym).enter();
    }

    @AfterAll
    static void stop() {
        entered.close();
        server.close();
    }

    private static void rolledBack(Supplier<StoredMap> change) {
        TransactionTemplate transaction = new TransactionTemplate(server.bean(PlatformTransactionManager.class));
        assertThatThrownBy(() -> transaction.execute(status -> {
            change.get();
            throw new IllegalStateException("the commit fails");
        })).hasMessage("the commit fails");
    }

    @Test
    void aFailedCommitLeavesNoRevisionBehind() {
        MapStore store = server.bean(MapStore.class);
        MapEditing editing = server.bean(MapEditing.class);
        MapHistory history = server.bean(MapHistory.class);
        int base = store.head(map).revision();
        editing.edit(map, base, who, "Renamed", m -> m.titled("Renamed"));
        history.undo(map, base + 1, who);
        int now = base + 2;
        rolledBack(() -> editing.edit(map, now, who, "Never", m -> m.titled("Never")));
        rolledBack(() -> history.redo(map, now, who));
        rolledBack(() -> history.restore(map, now, who, base + 1));
        StoredMap head = store.head(map);
        assertThat(head.revision()).isEqualTo(now);
        assertThat(head.index().map().title()).isEqualTo(store.at(map, base).index().map().title());
        // And the next revisions are what they say, from memory as from the database.
        history.redo(map, now, who);
        assertThat(store.head(map).index().map().title()).isEqualTo("Renamed");
        history.undo(map, now + 1, who);
        history.restore(map, now + 2, who, base + 1);
        StoredMap restored = store.head(map);
        assertThat(restored.revision()).isEqualTo(now + 3);
        assertThat(restored.index().map()).isEqualTo(store.at(map, base + 1).index().map());
    }
}
