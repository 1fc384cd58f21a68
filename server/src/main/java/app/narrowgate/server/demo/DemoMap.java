package app.narrowgate.server.demo;

import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.ReferenceMap;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The demo gym's house map. */
@Component
@Order(2)
class DemoMap implements DemoPart {

    private final Accounts accounts;
    private final MapShelf maps;

    DemoMap(Accounts accounts, MapShelf maps) {
        this.accounts = accounts;
        this.maps = maps;
    }

    @Override
    public String name() {
        return "map";
    }

    @Override
    public void load(DemoGym gym) {
        if (maps.first().isEmpty()) {
            maps.create(ReferenceMap.read(), accounts.named(gym.people().get(0).name()).orElseThrow().id(),
                    "The demo gym's first map");
        }
    }
}
