package app.narrowgate.server.account;

import app.narrowgate.server.audit.Audit;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What is noted of a member for the owner: what they did, and what was done to them. */
@Component
@Order(9)
class AuditKept implements Kept {

    private final Audit audit;

    AuditKept(Audit audit) {
        this.audit = audit;
    }

    @Override
    public String file() {
        return "audit";
    }

    @Override
    public Object of(UUID account) {
        return audit.about(account);
    }
}
