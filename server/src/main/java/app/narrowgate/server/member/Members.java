package app.narrowgate.server.member;

import app.narrowgate.core.right.Role;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.gym.Gym;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** What an owner does about the members of the gym, and the gym itself; each is noted. */
@Service
class Members {

    private final Accounts accounts;
    private final Gyms gyms;
    private final Audit audit;
    private final TransactionTemplate transactions;

    Members(Accounts accounts, Gyms gyms, Audit audit, TransactionTemplate transactions) {
        this.accounts = accounts;
        this.gyms = gyms;
        this.audit = audit;
        this.transactions = transactions;
    }

    List<Account> all() {
        return accounts.members();
    }

    /**
     * Opens a gym, with somebody who answers for it. Both are there, or neither.
     *
     * @return the owner
     */
    Account open(String gymName, Accounts.Names names, String password) {
        // A transaction asks in one name throughout: the house's, since there is no gym yet.
        Account owner = GymScope.HOUSE.get(() -> transactions.execute(status -> {
            Gym gym = gyms.open(gymName);
            return GymScope.of(gym.id()).get(() -> accounts.join(Role.OWNER, names, password));
        }));
        GymScope.of(owner.gym()).run(() -> audit.note(owner.id(), Deed.OPEN_GYM, ""));
        return owner;
    }

    @Transactional
    Gym name(String name, SignedIn by) {
        gyms.rename(name);
        audit.note(by.id(), Deed.NAME_GYM, gyms.current().name());
        return gyms.current();
    }

    @Transactional
    Account give(UUID member, Role role, SignedIn by) {
        accounts.give(member, role);
        audit.note(by.id(), Deed.GIVE_ROLE, member, "now " + role.title());
        return accounts.member(member);
    }

    @Transactional
    void endSessions(UUID member, SignedIn by) {
        accounts.signOutEverywhere(accounts.member(member));
        audit.note(by.id(), Deed.END_SESSIONS, member, "");
    }

    @Transactional
    void putOut(UUID member, boolean forgotten, SignedIn by) {
        if (forgotten) {
            accounts.forget(member);
        } else {
            accounts.leave(member);
        }
        audit.note(by.id(), forgotten ? Deed.FORGET : Deed.PUT_OUT, member, "");
    }
}
