package app.narrowgate.server.account;

import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsPasswordService;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;

/** Finds who wants to sign in, and keeps a password's hash that was made anew with today's figures. */
@Component
class MemberDetailsService implements UserDetailsService, UserDetailsPasswordService {

    private final Accounts accounts;

    MemberDetailsService(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public UserDetails loadUserByUsername(String name) {
        return accounts.named(name).map(MemberDetails::new).orElseThrow(() -> new UsernameNotFoundException("Nobody has this name"));
    }

    @Override
    public UserDetails updatePassword(UserDetails user, String hash) {
        Account account = ((MemberDetails) user).account();
        accounts.rehash(account, hash);
        return new MemberDetails(account);
    }
}
