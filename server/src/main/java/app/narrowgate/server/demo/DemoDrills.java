package app.narrowgate.server.demo;

import app.narrowgate.exchange.drill.DrillJson;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.drill.DrillStore;
import app.narrowgate.server.map.MapShelf;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/** The drills of the demo gym's library. */
@Component
@Order(4)
class DemoDrills implements DemoPart {

    private final Accounts accounts;
    private final MapShelf maps;
    private final DrillStore drills;

    DemoDrills(Accounts accounts, MapShelf maps, DrillStore drills) {
        this.accounts = accounts;
        this.maps = maps;
        this.drills = drills;
    }

    @Override
    public String name() {
        return "drills";
    }

    @Override
    public void load(DemoGym gym) {
        UUID author = accounts.named(gym.people().get(0).name()).orElseThrow().id();
        // A house that has changed its map since keeps what it changed; a drill that no longer fits is left out.
        maps.first().ifPresent(map -> texts().stream().map(DrillJson::read).filter(drill -> drills.fits(map, drill))
                .forEach(drill -> drills.keep(map, UUID.randomUUID(), drill, author)));
    }

    private static List<String> texts() {
        try {
            Resource[] files = new PathMatchingResourcePatternResolver().getResources("classpath:demo/drills/*.json");
            return Arrays.stream(files).sorted(Comparator.comparing(Resource::getFilename)).map(DemoDrills::text).toList();
        } catch (IOException e) {
            throw new UncheckedIOException("The demo gym's drills are not complete", e);
        }
    }

    private static String text(Resource file) {
        try {
            return file.getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The demo gym's drills are not complete: " + file, e);
        }
    }
}
