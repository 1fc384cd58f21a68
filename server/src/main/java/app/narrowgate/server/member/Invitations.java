package app.narrowgate.server.member;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.right.Role;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Secrets;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.mail.Mail;
import app.narrowgate.server.member.Invitation.Kind;
import app.narrowgate.server.problem.NotFoundException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Links by which people come in: random, told once, good for one person and some days. */
@Service
class Invitations {

    static final Duration TO_JOIN = Duration.ofDays(7);
    static final Duration TO_CHOOSE_A_PASSWORD = Duration.ofDays(1);
    private static final Duration LISTED = Duration.ofDays(30);
    private static final int BITS = 256;
    /** Whether it can be an address at all; whether somebody reads there, only a letter tells. */
    private static final Pattern ADDRESS = Pattern.compile("[^\\s@<>,;\"]{1,64}@[^\\s@<>,;\"]{1,180}\\.[^\\s@<>,;\".]{2,60}");

    /** What whoever has a link is told before they use it. */
    record Offer(String gym, Invitation invitation) {
    }

    private final InvitationMapper mapper;
    private final Accounts accounts;
    private final Gyms gyms;
    private final Mail mail;
    private final Audit audit;
    private final TransactionTemplate transactions;
    private final Clock clock;

    Invitations(InvitationMapper mapper, Accounts accounts, Gyms gyms, Mail mail, Audit audit, TransactionTemplate transactions,
            Clock clock) {
        this.mapper = mapper;
        this.accounts = accounts;
        this.gyms = gyms;
        this.mail = mail;
        this.audit = audit;
        this.transactions = transactions;
        this.clock = clock;
    }

    /** Those of the last weeks, the newest first. */
    List<Invitation> all() {
        return mapper.all();
    }

    /**
     * An invitation to the gym in whose name this is asked.
     *
     * @param whom for whom, in words that only the owner reads; may be empty
     * @param address where a letter with the link goes; may be empty
     * @param link what stands before the token in the letter
     * @throws RefusedException where the address cannot be one
     */
    MadeLink invite(Role role, String whom, String address, String link, SignedIn by) {
        String to = Text.tidy(address).strip();
        if (!to.isEmpty() && !ADDRESS.matcher(to).matches()) {
            throw new RefusedException("“%s” is no address for a letter; write one like wren@mats.example, or leave it empty.".formatted(
                    Text.shown(to)));
        }
        String words = Text.SENTENCE.require("For whom it is", Text.tidy(whom).strip());
        return transactions.execute(status -> {
            MadeLink made = make(Kind.JOIN, role, null, words, TO_JOIN, by);
            if (!to.isEmpty()) {
                mail.send(to, "Your invitation to " + gyms.current().name(), """
                        %s invites you to %s, as %s.

                        %s%s

                        The link works once, for seven days. Whoever has it comes in by it, so keep it to yourself.
                        """.formatted(by.displayName(), gyms.current().name(), role.title(), link, made.token()));
            }
            audit.note(by.id(), Deed.INVITE, "as " + role.title());
            return made;
        });
    }

    /**
     * A link by which a member who has forgotten the password chooses a new one; an older one works no longer.
     *
     * @throws NotFoundException where nobody in the gym has the id
     */
    MadeLink offerPassword(UUID member, SignedIn by) {
        return transactions.execute(status -> {
            Account account = accounts.member(member);
            mapper.withdrawPasswords(member, now());
            MadeLink made = make(Kind.PASSWORD, account.is(), member, "", TO_CHOOSE_A_PASSWORD, by);
            audit.note(by.id(), Deed.OFFER_PASSWORD, member, "");
            return made;
        });
    }

    private MadeLink make(Kind kind, Role role, UUID account, String whom, Duration good, SignedIn by) {
        Instant now = now();
        mapper.throwAway(now.minus(LISTED));
        MadeLink made = new MadeLink(UUID.randomUUID(), Secrets.fresh(BITS), now.plus(good));
        mapper.insert(made.id(), Secrets.hash(made.token()), kind.code(), role.code(), account, whom, by.id(), now, made.expiresAt());
        return made;
    }

    /**
     * Takes an invitation back.
     *
     * @throws NotFoundException where there is none of that id that somebody could still use
     */
    void withdraw(UUID id, SignedIn by) {
        transactions.executeWithoutResult(status -> {
            if (mapper.withdraw(id, now()) == 0) {
                throw new NotFoundException("There is no such invitation that could still be used.");
            }
            audit.note(by.id(), Deed.WITHDRAW_INVITATION, "");
        });
    }

    /**
     * What a link offers, to whoever has it.
     *
     * @throws NotFoundException where it is none, or none any more, in the same words
     */
    Offer offered(String token) {
        Invitation invitation = GymScope.HOUSE.get(() -> mapper.byToken(Secrets.hash(token)))
                .filter(one -> one.isOpen(now())).orElseThrow(Invitations::over);
        return GymScope.of(invitation.gym()).get(() -> new Offer(gyms.current().name(), invitation));
    }

    /**
     * Comes in by a link, with names and a password of one's own choice.
     *
     * @return the new member
     * @throws NotFoundException where the link is none for that, or none any more
     * @throws RefusedException where names or password do not do; the link works still
     */
    Account join(String token, Accounts.Names names, String password) {
        Invitation invitation = offered(token, Kind.JOIN);
        return GymScope.of(invitation.gym()).get(() -> transactions.execute(status -> {
            use(invitation);
            Account account = accounts.join(invitation.becomes(), names, password);
            mapper.cameIn(invitation.id(), account.id());
            audit.note(account.id(), Deed.COME_IN, "as " + account.is().title());
            return account;
        }));
    }

    /**
     * Chooses a new password by a link.
     *
     * @return the member
     * @throws NotFoundException where the link is none for that, or none any more
     * @throws RefusedException where the password does not do; the link works still
     */
    Account choosePassword(String token, String password) {
        Invitation invitation = offered(token, Kind.PASSWORD);
        return GymScope.of(invitation.gym()).get(() -> transactions.execute(status -> {
            use(invitation);
            Account account = accounts.member(invitation.account());
            accounts.choosePassword(account, password, Optional.empty());
            audit.note(account.id(), Deed.CHANGE_PASSWORD, "by a link");
            return account;
        }));
    }

    private Invitation offered(String token, Kind kind) {
        return Optional.of(offered(token).invitation()).filter(one -> one.is(kind)).orElseThrow(Invitations::over);
    }

    private void use(Invitation invitation) {
        if (mapper.use(invitation.id(), now()) == 0) {
            throw over();
        }
    }

    private static NotFoundException over() {
        return new NotFoundException("This link does not work: it has been used, withdrawn, or it is too old. Ask whoever sent it for a new one.");
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MICROS);
    }
}
