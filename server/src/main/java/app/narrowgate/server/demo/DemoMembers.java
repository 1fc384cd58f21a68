package app.narrowgate.server.demo;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.Accounts;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The demo gym's assistant and students. */
@Component
@Order(5)
class DemoMembers implements DemoPart {

    private final Accounts accounts;

    DemoMembers(Accounts accounts) {
        this.accounts = accounts;
    }

    @Override
    public String name() {
        return "members";
    }

    @Override
    public void load(DemoGym gym) {
        gym.people().stream().filter(person -> !person.is().may(Right.EDIT_MAPS))
                .forEach(person -> DemoPeople.add(accounts, person));
    }
}
