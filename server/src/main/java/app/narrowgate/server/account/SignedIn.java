package app.narrowgate.server.account;

import java.io.Serial;
import java.io.Serializable;
import java.security.Principal;
import java.util.UUID;

/**
 * The person behind a session.
 *
 * @param id the account
 * @param displayName what others see
 */
public record SignedIn(UUID id, String name, String displayName) implements Principal, Serializable {

    @Serial
    private static final long serialVersionUID = 1;

    @Override
    public String getName() {
        return name;
    }
}
