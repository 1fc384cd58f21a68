package app.narrowgate.server.demo;

import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.gym.Gyms;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;

/**
 * Gives the demo gym of the house every part that it has not been given yet, in order; a house of other gyms is left alone, and so is one that is
 * started without {@code narrowgate.demo}.
 */
@Component
class DemoLoader implements ApplicationRunner {

    private static final Logger LOG = LoggerFactory.getLogger(DemoLoader.class);

    private final List<DemoPart> parts;
    private final DemoPartMapper mapper;
    private final Gyms gyms;
    private final TransactionTemplate transactions;
    private final JsonMapper json;
    private final Clock clock;
    private final boolean wanted;

    DemoLoader(List<DemoPart> parts, DemoPartMapper mapper, Gyms gyms, TransactionTemplate transactions, JsonMapper json,
            Clock clock, @Value("${narrowgate.demo:false}") boolean wanted) {
        this.parts = parts;
        this.mapper = mapper;
        this.gyms = gyms;
        this.transactions = transactions;
        this.json = json;
        this.clock = clock;
        this.wanted = wanted;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        if (!wanted || parts.stream().allMatch(part -> mapper.isLoaded(part.name()))) {
            return;
        }
        Optional<UUID> begun = mapper.gym();
        if (begun.isEmpty() && !gyms.all().isEmpty()) {
            LOG.info("This house has gyms of its own, so that no demo gym is added to it");
            return;
        }
        DemoGym demo = json.readValue(resource("demo/gym.json"), DemoGym.class);
        UUID gym = begun.orElseGet(() -> gyms.open(demo.gym()).id());
        GymScope.of(gym).run(() -> load(demo, gym));
    }

    private void load(DemoGym gym, UUID id) {
        for (DemoPart part : parts) {
            if (!mapper.isLoaded(part.name())) {
                transactions.executeWithoutResult(status -> {
                    part.load(gym);
                    mapper.loaded(part.name(), clock.instant().truncatedTo(ChronoUnit.MICROS), id);
                });
                LOG.info("Loaded the demo gym's {}: {}, {}", part.name(), gym.gym(), gym.town());
            }
        }
    }

    /** The text of a file of the demo gym. */
    static String resource(String path) {
        try {
            return new ClassPathResource(path).getContentAsString(StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException("The demo gym is not complete: " + path, e);
        }
    }
}
