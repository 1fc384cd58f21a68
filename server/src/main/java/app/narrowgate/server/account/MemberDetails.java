package app.narrowgate.server.account;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** An account as the framework's sign-in wants it. What somebody may do is asked of their role, not of an authority. */
final class MemberDetails implements UserDetails, CredentialsContainer {

    private static final long serialVersionUID = 1;

    private final transient Account account;
    private String hash;

    MemberDetails(Account account) {
        this.account = account;
        this.hash = account.passwordHash();
    }

    Account account() {
        return Objects.requireNonNull(account, "Is never put into a session");
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of();
    }

    @Override
    public String getPassword() {
        return hash;
    }

    @Override
    public String getUsername() {
        return account().name().toLowerCase(Locale.ROOT);
    }

    @Override
    public void eraseCredentials() {
        hash = null;
    }
}
