package app.narrowgate.server.demo;

import app.narrowgate.exchange.map.MapJson;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.map.MapStore;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Fills an empty database with the demo gym, whose people and figures are all made up. */
@Component
@ConditionalOnProperty(name = "narrowgate.demo", havingValue = "true")
class DemoLoader implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

    private record Gym(String gym, String town, java.util.List<Person> people) {
    }

    private record Person(String name, String displayName, String password) {
    }

    private final Accounts accounts;
    private final MapStore maps;
    private final JsonMapper json;

    DemoLoader(Accounts accounts, MapStore maps, JsonMapper json) {
        this.accounts = accounts;
        this.maps = maps;
        this.json = json;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) throws IOException {
        if (!accounts.isEmpty() || !maps.isEmpty()) {
            return;
        }
        Gym gym = json.readValue(resource("demo/gym.json"), Gym.class);
        Account first = null;
        for (Person person : gym.people()) {
            Account account = accounts.add(person.name(), person.displayName(), person.password());
            first = first == null ? account : first;
        }
        if (first == null) {
            throw new IllegalStateException("Impossible state: the demo gym has no people");
        }
        maps.create(MapJson.read(resource("demo/map.json")), first.id(), "The demo gym's first map");
        LOG.info("Loaded the demo gym: {}, {}", gym.gym(), gym.town());
    }

    private static String resource(String path) throws IOException {
        return new ClassPathResource(path).getContentAsString(StandardCharsets.UTF_8);
    }
}
