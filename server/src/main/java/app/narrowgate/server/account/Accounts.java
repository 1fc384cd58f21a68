package app.narrowgate.server.account;

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

    /** The account of that name, if there is one. */
    public Optional<Account> named(String name) {
        return mapper.byName(name.toLowerCase(Locale.ROOT));
    }

    /** Adds a person; names are kept in lower case. */
    public Account add(String name, String displayName, String password) {
        Account account = new Account(UUID.randomUUID(), name.toLowerCase(Locale.ROOT), displayName,
                passwords.encode(password), clock.instant().truncatedTo(ChronoUnit.MICROS));
        mapper.insert(account);
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
            account.ifPresent(one -> mapper.rehash(one.id(), passwords.encode(password)));
        }
        return account;
    }
}
