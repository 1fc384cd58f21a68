package app.narrowgate.server.demo;

import app.narrowgate.server.account.Accounts;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The demo gym's instructors. The first knows the house; the second is on a first visit. */
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
        for (DemoGym.Person person : gym.people()) {
            if (accounts.named(person.name()).isEmpty()) {
                accounts.add(person.name(), person.displayName(), person.password());
            }
        }
        accounts.begin(accounts.named(gym.people().get(0).name()).orElseThrow().id());
    }
}
