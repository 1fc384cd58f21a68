package app.narrowgate.server.account;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.password.PasswordRule;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The people who may sign in. */
@Service
public class Accounts {

    /** What somebody signs in as, and who they are for others. */
    public record Names(String name, String displayName) {
    }

    private static final Pattern NAME = Pattern.compile("[\\p{L}\\p{N}][\\p{L}\\p{N}._-]{1,39}");

    private final AccountMapper mapper;
    private final Sessions sessions;
    private final Gyms gyms;
    private final PasswordEncoder passwords;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    Accounts(AccountMapper mapper, Sessions sessions, Gyms gyms, PasswordEncoder passwords,
            ApplicationEventPublisher events, Clock clock) {
        this.mapper = mapper;
        this.sessions = sessions;
        this.gyms = gyms;
        this.passwords = passwords;
        this.events = events;
        this.clock = clock;
    }

    /** The account of that name in the whole house, if there is one. */
    public Optional<Account> named(String name) {
        return GymScope.HOUSE.get(() -> mapper.byName(name.toLowerCase(Locale.ROOT)));
    }

    /** The account, wherever it is a member; empty once it is gone. */
    Optional<Account> with(UUID id) {
        return GymScope.HOUSE.get(() -> mapper.byId(id));
    }

    /** The members of the gym in whose name this is asked, who was there first being the first. */
    public List<Account> members() {
        return mapper.all();
    }

    /**
     * A member of the gym in whose name this is asked.
     *
     * @throws NotFoundException where nobody there has the id
     */
    public Account member(UUID id) {
        return mapper.byId(id).orElseThrow(() -> new NotFoundException("Nobody in the gym has the id " + id + "."));
    }

    /** Adds a member of a gym as they are; names are kept in lower case. */
    public Account add(UUID gym, Role role, String name, String displayName, String password) {
        Account account = new Account(UUID.randomUUID(), gym, name.toLowerCase(Locale.ROOT), displayName,
                passwords.encode(password), role.code(), now());
        GymScope.of(gym).run(() -> mapper.insert(account));
        return account;
    }

    /**
     * Adds a member who has chosen names and a password, to the gym in whose name this is asked.
     *
     * @throws RefusedException where one of them does not do, or another person in the house signs in by that name
     */
    public Account join(Role role, Names names, String password) {
        String name = Text.tidy(names.name()).strip().toLowerCase(Locale.ROOT);
        if (!NAME.matcher(name).matches()) {
            throw new RefusedException("The name to sign in with is “%s”; it takes 2 to 40 letters and figures, with dots, hyphens and low lines in between."
                    .formatted(Text.shown(name)));
        }
        String displayName = displayName(names.displayName());
        requireGood(password, name, displayName);
        try {
            return add(GymScope.current().gym(), role, name, displayName, password);
        } catch (DuplicateKeyException e) {
            throw new RefusedException("Somebody signs in as “%s” already. Choose another name to sign in with.".formatted(name));
        }
    }

    private static String displayName(String typed) {
        return Text.TITLE.require("The name that others see", Text.tidy(typed).strip());
    }

    private void requireGood(String password, String name, String displayName) {
        PasswordRule.problem(password, List.of(name, displayName, gyms.current().name())).ifPresent(problem -> {
            throw new RefusedException(problem);
        });
    }

    /**
     * Another name for others to see.
     *
     * @throws RefusedException where it is none
     */
    void rename(UUID id, String displayName) {
        mapper.rename(id, displayName(displayName));
        events.publishEvent(new NamesChanged());
    }

    /** True where the password is the account's. */
    boolean matches(Account account, String password) {
        return passwords.matches(password, account.passwordHash());
    }

    /**
     * Another password; with it every session ends but the one with that id, which may be none.
     *
     * @throws RefusedException where it does not do
     */
    public void choosePassword(Account account, String password, Optional<String> butThisSession) {
        requireGood(password, account.name(), account.displayName());
        mapper.rehash(account.id(), passwords.encode(password));
        mapper.forgetDevices(account.id());
        sessions.endAll(account.id(), butThisSession);
    }

    /** Ends every session of a member, and lets no browser be known any more. */
    public void signOutEverywhere(Account account) {
        mapper.forgetDevices(account.id());
        sessions.endAll(account.id(), Optional.empty());
    }

    /** Keeps a hash that was made anew. */
    void rehash(Account account, String hash) {
        GymScope.of(account.gym()).run(() -> mapper.rehash(account.id(), hash));
    }

    /**
     * Another role for a member.
     *
     * @throws RefusedException where the gym would be without an owner
     */
    @Transactional
    public void give(UUID id, Role role) {
        requireAnotherOwner(id, role != Role.OWNER, "give somebody else the role of owner first");
        if (mapper.give(id, role.code()) == 0) {
            member(id);
        }
    }

    /**
     * Lets a member go: nobody signs in by that account any more. What they wrote stays, with the name that others saw.
     *
     * @throws RefusedException where the gym would be without an owner
     */
    @Transactional
    public void leave(UUID id) {
        requireAnotherOwner(id, true, "make somebody else an owner first");
        if (mapper.leave(id, now()) == 0) {
            member(id);
        }
        mapper.forgetDevices(id);
        sessions.endAll(id, Optional.empty());
    }

    /**
     * The same, and the name goes, too: what they wrote and how often they did what stays, and nobody can tell whose it was.
     *
     * @throws RefusedException where the gym would be without an owner
     */
    @Transactional
    public void forget(UUID id) {
        leave(id);
        events.publishEvent(new Forgotten(id));
        mapper.forget(id, now());
        events.publishEvent(new NamesChanged());
    }

    private void requireAnotherOwner(UUID id, boolean ceases, String instead) {
        List<Account> owners = mapper.lockOwners();
        if (ceases && owners.size() == 1 && owners.get(0).id().equals(id)) {
            throw new RefusedException("A gym has an owner, and there is no other; %s.".formatted(instead));
        }
    }

    /** True once the person has been led to the first useful act, or has waved it off. */
    boolean hasBegun(UUID account) {
        return mapper.hasBegun(account).orElse(false);
    }

    /** Remembers that the person needs no leading any more. */
    public void begin(UUID account) {
        mapper.begin(account, now());
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
