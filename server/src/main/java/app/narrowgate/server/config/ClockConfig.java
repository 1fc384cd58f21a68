package app.narrowgate.server.config;

import java.nio.file.Path;
import java.time.Clock;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The one source of the present time. */
@Configuration(proxyBeanMethods = false)
class ClockConfig {

    /** @param ahead for trying things out: the file that says how far the clock is ahead; none for the machine's own clock */
    @Bean
    Clock clock(@Value("${narrowgate.clock-ahead-file:}") String ahead) {
        return ahead.isBlank() ? Clock.systemUTC() : new SimulatedClock(Path.of(ahead), Clock.systemUTC());
    }
}
