package app.narrowgate.server.demo;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.map.MapShelf;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The demo gym's assistant and students, with whom its map is shared. */
@Component
@Order(5)
class DemoMembers implements DemoPart {

    private final Accounts accounts;
    private final MapShelf maps;

    DemoMembers(Accounts accounts, MapShelf maps) {
        this.accounts = accounts;
        this.maps = maps;
    }

    @Override
    public String name() {
        return "members";
    }

    @Override
    public void load(DemoGym gym) {
        gym.people().stream().filter(person -> !person.is().may(Right.EDIT_MAPS))
                .forEach(person -> DemoPeople.add(accounts, person));
        UUID owner = accounts.named(gym.people().get(0).name()).orElseThrow().id();
        maps.first().ifPresent(map -> maps.share(map, true, owner));
    }
}
