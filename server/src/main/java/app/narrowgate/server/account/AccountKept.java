package app.narrowgate.server.account;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Of a member: the names, the role, and where they are signed in. */
@Component
@Order(1)
class AccountKept implements Kept {

    private record Signed(String browser, Instant begunAt, Instant usedAt) {
    }

    private record Told(String name, String displayName, String role, Instant since, List<Signed> signedIn) {
    }

    private final Accounts accounts;
    private final Sessions sessions;

    AccountKept(Accounts accounts, Sessions sessions) {
        this.accounts = accounts;
        this.sessions = sessions;
    }

    @Override
    public String file() {
        return "member";
    }

    @Override
    public Object of(UUID account) {
        Account one = accounts.member(account);
        return new Told(one.name(), one.displayName(), one.role(), one.createdAt(), sessions.of(account).stream()
                .map(place -> new Signed(place.browser(), place.begunAt(), place.usedAt())).toList());
    }
}
