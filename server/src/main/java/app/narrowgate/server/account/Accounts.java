package app.narrowgate.server.account;

import app.narrowgate.core.right.Role;
import app.narrowgate.server.gym.GymScope;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/** The people who may sign in. */
@Service
public class Accounts {

    private final AccountMapper mapper;
    private final PasswordEncoder passwords;
    private final Clock clock;
    private final String hashOfNobody;

    Accounts(AccountMapper mapper, PasswordEncoder passwords, Clock clock) {
        this.mapper = mapper;
        this.passwords = passwords;
        this.clock = clock;
        this.hashOfNobody = passwords.encode(UUID.randomUUID().toString());
    }

    /** The account of that name in the whole house, if there is one. */
    public Optional<Account> named(String name) {
        return GymScope.HOUSE.get(() -> mapper.byName(name.toLowerCase(Locale.ROOT)));
    }

    /** The account, wherever it is a member; empty once it is gone. */
    Optional<Account> with(UUID id) {
        return GymScope.HOUSE.get(() -> mapper.byId(id));
    }

    /** Adds a member of a gym; names are kept in lower case. */
    public Account add(UUID gym, Role role, String name, String displayName, String password) {
        Account account = new Account(UUID.randomUUID(), gym, name.toLowerCase(Locale.ROOT), displayName,
                passwords.encode(password), role.code(), clock.instant().truncatedTo(ChronoUnit.MICROS));
        GymScope.of(gym).run(() -> mapper.insert(account));
        return account;
    }

    /** True once the person has been led to the first useful act, or has waved it off. */
    boolean hasBegun(UUID account) {
        return mapper.hasBegun(account).orElse(false);
    }

    /** Remembers that the person needs no leading any more. */
    public void begin(UUID account) {
        mapper.begin(account, clock.instant().truncatedTo(ChronoUnit.MICROS));
    }

    /**
     * The account of that name and password. Takes as long for a name that nobody has. A hash made with
     * older figures is made anew.
     */
    Optional<Account> matching(String name, String password) {
        Optional<Account> account = named(name);
        String hash = account.map(Account::passwordHash).orElse(hashOfNobody);
        if (!passwords.matches(password, hash)) {
            return Optional.empty();
        }
        if (passwords.upgradeEncoding(hash)) {
            account.ifPresent(one -> GymScope.of(one.gym()).run(() -> mapper.rehash(one.id(), passwords.encode(password))));
        }
        return account;
    }
}
