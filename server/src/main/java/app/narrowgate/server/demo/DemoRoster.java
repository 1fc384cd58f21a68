package app.narrowgate.server.demo;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.person.Ailment;
import app.narrowgate.core.person.PersonLine;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.person.People;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Who trains at the demo gym, and what hurts some of them. */
@Component
@Order(6)
class DemoRoster implements DemoPart {

    private final Accounts accounts;
    private final People people;

    DemoRoster(Accounts accounts, People people) {
        this.accounts = accounts;
        this.people = people;
    }

    @Override
    public String name() {
        return "roster";
    }

    @Override
    public void load(DemoGym gym) {
        SignedIn owner = SignedIn.of(accounts.named(gym.people().get(0).name()).orElseThrow());
        gym.roster().forEach(listed -> {
            UUID person = people.add(PersonLine.read(listed.line()));
            Optional.ofNullable(listed.account()).flatMap(accounts::named).map(Account::id)
                    .ifPresent(account -> people.link(person, Optional.of(account)));
            if (listed.ailments() != null) {
                people.write(person, ailments(listed), owner);
            }
        });
    }

    private static List<Ailment> ailments(DemoGym.Listed listed) {
        return listed.ailments().stream().map(hurt -> new Ailment(Coded.require(Injury.class, "injury", hurt.injury()),
                Optional.ofNullable(hurt.from()), Optional.ofNullable(hurt.until()), hurt.avoid())).toList();
    }
}
