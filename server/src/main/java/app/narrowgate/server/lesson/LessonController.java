package app.narrowgate.server.lesson;

import app.narrowgate.core.lesson.Lesson;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.calendar.ClassCalendar;
import app.narrowgate.exchange.lesson.LessonMarkdown;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.gym.Gyms;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.person.People;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Classes: planned whenever they are kept, changed or looked at. */
@RestController
@Needs(Right.PLAN_CLASSES)
@RequestMapping("/api/maps/{mapId}/classes")
@Tag(name = "classes")
class LessonController {

    private static final String MARKDOWN = "text/markdown;charset=UTF-8";
    private static final String CALENDAR = "text/calendar;charset=UTF-8";

    /** A class in one line. */
    @Schema(name = "ListedClass")
    record ListedView(UUID id, int version, String title, LocalDate day, String starts, int minutes, @Nullable String family, @Nullable String place,
            int here, @Schema(description = "What was planned, in order") List<String> planned,
            @Schema(description = "True where it was run to its end") boolean ran) {

        static ListedView of(LessonRow row) {
            Lesson lesson = row.lesson();
            return new ListedView(row.id(), row.version(), lesson.title(), lesson.day(), lesson.starts().toString(), lesson.minutes(),
                    lesson.focus().family().map(Id::value).orElse(null), lesson.focus().place().map(Id::value).orElse(null), lesson.here().size(),
                    lesson.planned().stream().map(Lesson.Planned::unit).toList(), !lesson.came().isEmpty());
        }
    }

    /** The class before. */
    @Schema(name = "LastClass")
    record LastView(UUID id, String title, LocalDate day, List<UUID> here) {
    }

    /** A class with what comes of it. */
    @Schema(name = "PlannedClass")
    record PlannedView(UUID id, int version, LessonView lesson, @Nullable @Schema(description = "Missing while nobody is here") PlanView plan,
            @Schema(description = "True where the map, the roster or the classes before have changed so that something else comes of it than was planned")
            boolean changed, @Schema(description = "How long each part may last") List<LessonView.SpanView> spans, @Nullable LastView last,
            @Schema(description = "Of those who are here those who were not in the class before") List<UUID> absent,
            @Schema(description = "What really came, where it was run to its end") List<CameView> came, @Nullable String author, Instant at) {
    }

    /** A unit that really came. */
    @Schema(name = "CameUnit")
    record CameView(String unit, @Schema(allowableValues = {"warm-up", "recall", "new", "chain", "called", "live", "talk"}) String section, int minutes,
            List<LessonView.CoupleView> pairs) {

        static CameView of(Lesson.Came came) {
            return new CameView(came.unit(), came.section().code(), came.minutes(), LessonView.couples(came.pairs()));
        }
    }

    /** A new class; the id is made by who plans it, so that sending it twice keeps it once. */
    @Schema(name = "NewClass")
    record NewClass(@NotNull UUID id, @NotNull @Valid LessonView lesson) {
    }

    /** A change of a class, made on a state. */
    @Schema(name = "ClassChange")
    record ClassChange(@Min(1) @Max(1_000_000) int version, @NotNull @Valid LessonView lesson,
            @Schema(description = "True for a class that is over: what came in it stays as it was planned") boolean over,
            @Nullable @Size(max = 100) @Schema(description = "Of a class that was run, parts that took longer or shorter than was written down")
            List<@NotNull @Valid Correction> came) {
    }

    /** How long a part really took; 0 where it did not come. */
    @Schema(name = "CameCorrection")
    record Correction(@NotBlank @Size(max = 140) String unit, @Min(0) @Max(180) int minutes) {
    }

    private final MapStore maps;
    private final LessonStore lessons;
    private final LessonPlanner planner;
    private final People people;
    private final Gyms gyms;

    LessonController(MapStore maps, LessonStore lessons, LessonPlanner planner, People people, Gyms gyms) {
        this.maps = maps;
        this.lessons = lessons;
        this.planner = planner;
        this.people = people;
        this.gyms = gyms;
    }

    @Needs(Right.READ_CLASSES)
    @Keepable
    @GetMapping
    @Operation(operationId = "classes", summary = "The classes of some days, the first first")
    List<ListedView> between(@PathVariable UUID mapId, @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate until) {
        return lessons.between(maps.head(mapId).id(), from, until).stream().map(ListedView::of).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "newClass", summary = "Plan a class and keep it")
    PlannedView keep(@PathVariable UUID mapId, @Valid @RequestBody NewClass made, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Lesson asked = made.lesson().toLesson();
        PlannedLesson planned = planner.plan(map, made.id(), asked, who);
        return view(lessons.keep(mapId, made.id(), planned.in(asked), who.id()), planned, false, who.may(Right.READ_HEALTH));
    }

    @Needs(Right.READ_CLASSES)
    @Keepable(asked = Keepable.KEPT)
    @GetMapping("/{lesson}")
    @Operation(operationId = "plannedClass", summary = "A class with what comes of it today; one that is over as it was planned")
    PlannedView one(@PathVariable UUID mapId, @PathVariable("lesson") UUID id,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) @Schema(description = "The day on which it is asked") LocalDate today,
            @RequestParam(name = Keepable.KEPT, defaultValue = "false")
            @Schema(description = "Without what hurts people, to stay on a device") boolean stays, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        LessonRow row = lessons.one(mapId, id);
        Lesson kept = row.lesson();
        boolean over = isOver(kept) || kept.day().isBefore(today) && !kept.planned().isEmpty();
        Optional<SignedIn> shown = Optional.of(who).filter(one -> !stays);
        PlannedLesson planned = over ? planner.asItWas(map, id, kept, shown) : planner.plan(map, id, kept, shown);
        boolean changed = !over && !kept.planned().isEmpty() && !planned.in(kept).planned().equals(kept.planned());
        return view(row, planned, changed, !stays && who.may(Right.READ_HEALTH));
    }

    @PutMapping("/{lesson}")
    @Operation(operationId = "changeClass", summary = "Change what a class is asked for; it is planned anew around what is fixed")
    PlannedView change(@PathVariable UUID mapId, @PathVariable("lesson") UUID id, @Valid @RequestBody ClassChange change, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Lesson asked = change.lesson().toLesson();
        Lesson before = lessons.one(mapId, id).lesson();
        if (change.over() || isOver(before)) {
            Lesson corrected = asked.planned(before.planned()).came(asked.here(), corrected(before.came(), change.came()));
            PlannedLesson came = planner.asItWas(map, id, corrected, who);
            return view(lessons.change(mapId, id, change.version(), corrected, who.id()), came, false, who.may(Right.READ_HEALTH));
        }
        PlannedLesson planned = planner.plan(map, id, asked, who);
        return view(lessons.change(mapId, id, change.version(), planned.in(asked), who.id()), planned, false, who.may(Right.READ_HEALTH));
    }

    private static List<Lesson.Came> corrected(List<Lesson.Came> came, @Nullable List<Correction> corrections) {
        Map<String, Integer> minutes = corrections == null ? Map.of() : corrections.stream()
                .collect(Collectors.toMap(Correction::unit, Correction::minutes, (one, later) -> later));
        return came.stream().filter(one -> minutes.getOrDefault(one.unit(), one.minutes()) > 0)
                .map(one -> new Lesson.Came(one.unit(), one.section(), minutes.getOrDefault(one.unit(), one.minutes()), one.reactions(), one.pairs()))
                .toList();
    }

    /** True for a class that was run to its end: what came in it stays, whatever day it is. */
    private static boolean isOver(Lesson lesson) {
        return !lesson.came().isEmpty();
    }

    @DeleteMapping("/{lesson}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeClass", summary = "Remove a class; it can be put back")
    void remove(@PathVariable UUID mapId, @PathVariable("lesson") UUID id, @AuthenticationPrincipal SignedIn who) {
        lessons.remove(mapId, id, who);
    }

    @PostMapping("/{lesson}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "restoreClass", summary = "Put a class back that was removed")
    void restore(@PathVariable UUID mapId, @PathVariable("lesson") UUID id, @AuthenticationPrincipal SignedIn who) {
        lessons.restore(mapId, id, who);
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/calendar", produces = CALENDAR)
    @Operation(operationId = "classCalendar", summary = "The classes of some days as a calendar file (RFC 5545), without names of people")
    ResponseEntity<String> calendar(@PathVariable UUID mapId, @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate from,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate until) {
        StoredMap map = maps.head(mapId);
        List<ClassCalendar.Dated> classes = lessons.between(map.id(), from, until).stream()
                .map(row -> new ClassCalendar.Dated(row.id(), row.at(), row.lesson())).toList();
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"classes-from-%s.ics\"".formatted(from))
                .contentType(MediaType.parseMediaType(CALENDAR)).body(ClassCalendar.of(map.index(), gyms.current().name(), classes));
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/{lesson}/markdown", produces = MARKDOWN)
    @Operation(operationId = "classMarkdown", summary = "A class in words, without what hurts anybody")
    ResponseEntity<String> markdown(@PathVariable UUID mapId, @PathVariable("lesson") UUID id, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        Lesson kept = lessons.one(mapId, id).lesson();
        PlannedLesson planned = planner.plan(map, id, kept, who);
        Map<UUID, String> names = people.inClass(kept.here(), kept.day(), Optional.of(who)).stream()
                .collect(Collectors.toMap(People.InClass::id, one -> one.person().name()));
        String text = LessonMarkdown.of(map.index(), kept, planned.plan(), planned.rounds(), names);
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"class-%s.md\"".formatted(kept.day()))
                .contentType(MediaType.parseMediaType(MARKDOWN)).body(text);
    }

    private static PlannedView view(LessonRow row, PlannedLesson planned, boolean changed, boolean health) {
        Lesson lesson = row.lesson();
        return new PlannedView(row.id(), row.version(), LessonView.of(lesson),
                planned.plan().map(plan -> PlanView.of(plan, planned.rounds(), planned.due(), health)).orElse(null), changed,
                LessonView.spans(lesson.shape()), planned.last().map(last -> new LastView(last.id(), last.title(), last.day(), last.here())).orElse(null),
                planned.absent(), lesson.came().stream().map(CameView::of).toList(), row.authorName(), row.at());
    }
}
