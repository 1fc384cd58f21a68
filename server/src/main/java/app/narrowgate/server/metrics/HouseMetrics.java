package app.narrowgate.server.metrics;

import app.narrowgate.server.config.BuildId;
import io.micrometer.core.instrument.Gauge;
import io.micrometer.core.instrument.MeterRegistry;
import io.micrometer.core.instrument.TimeGauge;
import java.nio.file.Files;
import java.nio.file.Path;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Which build runs, and how old the last nightly backup is. */
@Component
class HouseMetrics {

    private final Clock clock;

    /** @param lastBackup a file that is touched whenever a nightly backup is complete; empty where none is asked for */
    HouseMetrics(MeterRegistry meters, BuildId build, Clock clock, @Value("${narrowgate.last-backup-file:}") String lastBackup) {
        this.clock = clock;
        Gauge.builder("narrowgate.build", () -> 1).tag("build", build.value()).description("Which build of the program runs").register(meters);
        if (!lastBackup.isEmpty()) {
            TimeGauge.builder("narrowgate.backup.age", () -> age(Path.of(lastBackup)), TimeUnit.SECONDS)
                    .description("How long ago the last nightly backup was complete; NaN before the first").register(meters);
        }
    }

    private double age(Path lastBackup) {
        try {
            return Duration.between(Files.getLastModifiedTime(lastBackup).toInstant(), clock.instant()).toSeconds();
        } catch (IOException none) {
            return Double.NaN;
        }
    }
}
