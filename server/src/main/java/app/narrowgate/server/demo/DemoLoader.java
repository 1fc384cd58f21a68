package app.narrowgate.server.demo;

import app.narrowgate.core.map.Id;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.map.MapShelf;
import app.narrowgate.server.map.ReferenceMap;
import app.narrowgate.server.question.QuestionStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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

    private record Gym(String gym, String town, List<Person> people, List<Asked> questions) {
    }

    private record Asked(String asker, String words, String situation) {
    }

    private record Person(String name, String displayName, String password) {
    }

    private final Accounts accounts;
    private final MapShelf maps;
    private final QuestionStore questions;
    private final JsonMapper json;

    DemoLoader(Accounts accounts, MapShelf maps, QuestionStore questions, JsonMapper json) {
        this.accounts = accounts;
        this.maps = maps;
        this.questions = questions;
        this.json = json;
    }

    @Override
    @Transactional
    public void run(ApplicationArguments arguments) {
        if (!accounts.isEmpty() || !maps.isEmpty()) {
            return;
        }
        Gym gym = json.readValue(resource("demo/gym.json"), Gym.class);
        Map<String, SignedIn> people = new LinkedHashMap<>();
        for (Person person : gym.people()) {
            Account account = accounts.add(person.name(), person.displayName(), person.password());
            people.put(account.name(), new SignedIn(account.id(), account.name(), account.displayName()));
        }
        SignedIn first = people.values().stream().findFirst()
                .orElseThrow(() -> new IllegalStateException("Impossible state: the demo gym has no people"));
        // The first instructor knows the house; the second is on a first visit.
        accounts.begin(first.id());
        UUID map = maps.create(ReferenceMap.read(), first.id(), "The demo gym's first map").id();
        for (Asked asked : gym.questions()) {
            questions.ask(map, UUID.randomUUID(), asked.words(), Optional.ofNullable(asked.situation()).map(Id::of),
                    people.get(asked.asker()));
        }
        LOG.info("Loaded the demo gym: {}, {}", gym.gym(), gym.town());
    }

    private static String resource(String path) {
        try {
            return new ClassPathResource(path).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The demo gym is not complete: " + path, e);
        }
    }
}
