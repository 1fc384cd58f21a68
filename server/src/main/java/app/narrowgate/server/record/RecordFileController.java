package app.narrowgate.server.record;

import app.narrowgate.core.record.Event;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.download.Download;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The record as files, out and in. */
@RestController
@Needs(Right.EDIT_MAPS)
@RequestMapping("/api")
@Tag(name = "record")
class RecordFileController {

    private static final String LINES = "application/jsonl;charset=UTF-8";
    private static final String TABLE = "text/csv;charset=UTF-8";

    /** A file to look at. */
    @Schema(name = "RecordFile")
    record FileView(@NotBlank @Size(max = 90) @Schema(description = "What the file is called") String name,
            @NotNull @Schema(allowableValues = {"lines", "table"}) String format, @NotNull @Size(max = 10_000_000) String text) {

        RecordFiles.File file() {
            return new RecordFiles.File(name, format.equals("table"), text);
        }
    }

    /** A file to read in. */
    @Schema(name = "NewRecordImport")
    record NewImport(@NotNull @Schema(description = "Made on the device; sent twice it is read in once") UUID id, @NotNull @Valid FileView file,
            @Schema(description = "True where those who are on no roster are put on it; else what is said of them is left away") boolean addPeople) {
    }

    /** Somebody of a file who is not on the roster. */
    @Schema(name = "RecordStranger")
    record StrangerView(String name, @Schema(description = "How often they are named") int times) {
    }

    /** What reading a file in would add. */
    @Schema(name = "RecordImportPreview")
    record PreviewView(int rounds, int repetitions, int attendances, int readings, int gates, int keeps,
            @Schema(description = "Events that take another one out") int voids, @Schema(description = "What is in the record already") int known,
            @Schema(description = "Readings of others, which are left away") int others,
            @Schema(description = "Events that take out one that is nowhere, which are left away") int loose, List<StrangerView> strangers,
            @Nullable Instant first, @Nullable Instant last) {

        static PreviewView of(RecordFiles.Looked looked) {
            List<Instant> times = looked.wanted().stream().map(Event::at).sorted().toList();
            return new PreviewView(count(looked, Event.Round.class), count(looked, Event.Repetitions.class), count(looked, Event.Attendance.class),
                    count(looked, Event.Reading.class), count(looked, Event.GateDecision.class), count(looked, Event.Keep.class),
                    count(looked, Event.Void.class), looked.known(), looked.others(), looked.loose(),
                    looked.unknown().stream().map(one -> new StrangerView(one.name(), one.times())).toList(), times.isEmpty() ? null : times.get(0),
                    times.isEmpty() ? null : times.get(times.size() - 1));
        }

        private static int count(RecordFiles.Looked looked, Class<? extends Event> kind) {
            return (int) looked.wanted().stream().filter(kind::isInstance).count();
        }
    }

    /** A file that was read in. */
    @Schema(name = "RecordImport")
    record ImportView(UUID id, Instant at, @Nullable @Schema(description = "Who read it in; missing once they are forgotten") String author, String file,
            @Schema(description = "How many events it brought") int events, @Nullable Instant first, @Nullable Instant last,
            @Schema(description = "True while it is taken back and does not count") boolean undone) {

        static ImportView of(ImportMapper.ImportRow row) {
            return new ImportView(row.id(), row.at(), row.author(), row.file(), row.events(), row.firstAt(), row.lastAt(), row.undoneAt() != null);
        }
    }

    /** Whether a file counts. */
    @Schema(name = "RecordImportState")
    record StateView(boolean undone) {
    }

    private final RecordFiles files;

    RecordFileController(RecordFiles files) {
        this.files = files;
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/maps/{mapId}/record/lines", produces = LINES)
    @Operation(operationId = "recordLines", summary = "The record as lines of JSON: everything, also what was taken out, and of the readings one's own")
    ResponseEntity<String> lines(@PathVariable UUID mapId, @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate until, @AuthenticationPrincipal SignedIn who) {
        return Download.of("record.jsonl", LINES, files.lines(mapId, Optional.ofNullable(from), Optional.ofNullable(until), who));
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/maps/{mapId}/record/table", produces = TABLE)
    @Operation(operationId = "recordTable", summary = "What counts of the record, as a table that a spreadsheet opens")
    ResponseEntity<String> table(@PathVariable UUID mapId, @RequestParam(required = false) @Nullable LocalDate from,
            @RequestParam(required = false) @Nullable LocalDate until, @AuthenticationPrincipal SignedIn who) {
        return Download.of("record.csv", TABLE, files.table(mapId, Optional.ofNullable(from), Optional.ofNullable(until), who));
    }

    @Needs(Right.SEE_ONESELF)
    @GetMapping(path = "/maps/{mapId}/record/mine/lines", produces = LINES)
    @Operation(operationId = "ownRecordLines", summary = "What is kept of oneself, as lines of JSON, without who was on top")
    ResponseEntity<String> own(@PathVariable UUID mapId, @AuthenticationPrincipal SignedIn who) {
        return Download.of("record.jsonl", LINES, files.own(mapId, who));
    }

    @PostMapping("/maps/{mapId}/record/imports/preview")
    @Operation(operationId = "previewRecordImport", summary = "What reading a file into the record would add; nothing is kept",
            description = "A bad file is refused with what is wrong with every line.")
    PreviewView preview(@PathVariable UUID mapId, @Valid @RequestBody FileView file, @AuthenticationPrincipal SignedIn who) {
        return PreviewView.of(files.look(mapId, file.file(), who));
    }

    @PostMapping("/maps/{mapId}/record/imports")
    @Operation(operationId = "importRecord", summary = "Read a file into the record; all of it, or nothing")
    ImportView read(@PathVariable UUID mapId, @Valid @RequestBody NewImport added, @AuthenticationPrincipal SignedIn who) {
        return ImportView.of(files.read(mapId, added.id(), added.file().file(), added.addPeople(), who));
    }

    @GetMapping("/maps/{mapId}/record/imports")
    @Operation(operationId = "recordImports", summary = "Files that were read into the record, the newest first")
    List<ImportView> all(@PathVariable UUID mapId) {
        return files.all(mapId).stream().map(ImportView::of).toList();
    }

    @PutMapping("/maps/{mapId}/record/imports/{importId}")
    @Operation(operationId = "undoRecordImport", summary = "Take a file back, or let it count again")
    ImportView undo(@PathVariable UUID mapId, @PathVariable UUID importId, @Valid @RequestBody StateView state) {
        return ImportView.of(files.undo(mapId, importId, state.undone()));
    }

    @Needs(Right.READ_SHARED_MAPS)
    @GetMapping(path = "/formats/record-schema", produces = "application/schema+json")
    @Operation(operationId = "recordSchema", summary = "The JSON Schema of a line of the record file")
    Resource schema() {
        return new ClassPathResource("formats/narrowgate-record-1.schema.json");
    }
}
