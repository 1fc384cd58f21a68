package app.narrowgate.server.demo;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.gym.GymScope;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The demo gym's owner, who knows the house, and its instructor, who is on a first visit. */
@Component
@Order(1)
class DemoPeople implements DemoPart {

    private final Accounts accounts;

    DemoPeople(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public String name() {
        return "people";
    }

    @Override
    public void load(DemoGym gym) {
        gym.people().stream().filter(person -> person.is().may(Right.EDIT_MAPS)).forEach(person -> add(accounts, person));
        accounts.begin(accounts.named(gym.people().get(0).name()).orElseThrow().id());
    }

    /** Makes somebody a member of the gym in whose name this is asked, unless they are one. */
    static void add(Accounts accounts, DemoGym.Person person) {
        if (accounts.named(person.name()).isEmpty()) {
            accounts.add(GymScope.current().gym(), person.is(), person.name(), person.displayName(), person.password());
        }
    }
}
