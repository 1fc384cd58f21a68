package app.narrowgate.server.backup;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.audit.Audit;
import app.narrowgate.server.audit.Deed;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.download.Download;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.limit.Limit;
import app.narrowgate.server.limit.Limits;
import app.narrowgate.server.problem.BusyException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.concurrent.Semaphore;
import javax.sql.DataSource;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.support.SQLExceptionTranslator;
import org.springframework.jdbc.support.SQLStateSQLExceptionTranslator;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The whole gym as an archive, for its owner; without that by which somebody could guess passwords. */
@RestController
@Needs(Right.MANAGE_GYM)
@RequestMapping("/api/gyms/mine")
@Tag(name = "gym")
class GymArchiveController {

    private static final int AT_ONCE = 1;
    private static final Duration SOON = Duration.ofSeconds(10);

    private final DataSource source;
    private final Audit audit;
    private final Limits limits;
    private final Clock clock;
    private final Semaphore places = new Semaphore(AT_ONCE);
    private final SQLExceptionTranslator translator = new SQLStateSQLExceptionTranslator();

    GymArchiveController(DataSource source, Audit audit, Limits limits, Clock clock) {
        this.source = source;
        this.audit = audit;
        this.limits = limits;
        this.clock = clock;
    }

    @GetMapping(path = "/archive", produces = "application/zip")
    @Operation(operationId = "gymArchive", summary = "Everything that the gym keeps, as an archive that another house takes in")
    ResponseEntity<InputStreamResource> archive(@AuthenticationPrincipal SignedIn who) {
        if (!places.tryAcquire()) {
            limits.met(Limit.ARCHIVES_AT_ONCE);
            throw new BusyException("Another gym is being written into an archive. Try again in a moment.", SOON);
        }
        try {
            audit.note(who.id(), Deed.TAKE_OUT_GYM, "");
            // To its end before a byte is sent, so that what fails is told and not half sent.
            Path written = written();
            long length = Files.size(written);
            InputStreamResource gone = new InputStreamResource(() -> Files.newInputStream(written, StandardOpenOption.DELETE_ON_CLOSE), "archive");
            ResponseEntity<InputStreamResource> answer = Download.of("gym-%s.zip".formatted(LocalDate.now(clock)), "application/zip", gone);
            return ResponseEntity.ok().headers(answer.getHeaders()).contentLength(length).body(gone);
        } catch (IOException e) {
            throw new UncheckedIOException("The archive of a gym could not be written on this machine", e);
        } finally {
            places.release();
        }
    }

    private Path written() throws IOException {
        Path file = Files.createTempFile("narrowgate-gym", ".zip");
        try (Connection connection = source.getConnection(); OutputStream out = Files.newOutputStream(file)) {
            new BackupWriter(connection, clock).gym(GymScope.current().gym(), false, out);
            return file;
        } catch (SQLException e) {
            Files.deleteIfExists(file);
            throw translator.translate("archive of a gym", null, e);
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(file);
            throw e;
        }
    }
}
