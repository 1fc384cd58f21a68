package app.narrowgate.server.account;

import app.narrowgate.core.right.Right;
import app.narrowgate.core.right.Role;
import java.io.Serial;
import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/**
 * The person behind a session, as they are at this request: what a session keeps of gym and role is looked up anew each time.
 *
 * @param id the account
 * @param gym the gym in whose name they ask
 * @param displayName what others see
 * @param role what they are there
 */
public record SignedIn(UUID id, UUID gym, String name, String displayName, Role role) implements Principal, Serializable {

    @Serial
    private static final long serialVersionUID = 2;

    /** A member as their account says. */
    public static SignedIn of(Account account) {
        return new SignedIn(account.id(), account.gym(), account.name(), account.displayName(), account.is());
    }

    /** True where the person may do it. */
    public boolean may(Right right) {
        return role.may(right);
    }

    /** What sessions are found by; the name to sign in with could be another's once this person has left. */
    @Override
    public String getName() {
        return id.toString();
    }
}
