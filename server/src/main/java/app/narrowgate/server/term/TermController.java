package app.narrowgate.server.term;

import app.narrowgate.core.check.Text;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.term.Term;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.lesson.TermLessons;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.StoredMap;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.http.HttpStatus;
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

/** Terms: weeks of classes, what was taught in them and what is still to come. */
@RestController
@Needs(Right.PLAN_CLASSES)
@RequestMapping("/api/maps/{mapId}/terms")
@Tag(name = "terms")
class TermController {

    /** A term. */
    @Schema(name = "Term")
    record View(UUID id, int version, String title, LocalDate first, LocalDate last) {

        static View of(TermRow row) {
            return new View(row.id(), row.version(), row.title(), row.firstDay(), row.lastDay());
        }
    }

    /** A new term; the id is made by who begins it, so that sending it twice keeps it once. */
    @Schema(name = "NewTerm")
    record NewTerm(@NotNull UUID id, @NotBlank @Size(max = 90) String title, @NotNull LocalDate first, @NotNull LocalDate last) {
    }

    /** A change of a term, made on a state. */
    @Schema(name = "TermChange")
    record TermChange(@Min(1) @Max(1_000_000) int version, @NotBlank @Size(max = 90) String title, @NotNull LocalDate first, @NotNull LocalDate last) {
    }

    /** What a term asks of a class in its state. */
    @Schema(name = "AskedOfClass")
    record AskedView(@NotNull UUID id, @Min(1) @Max(1_000_000) int version,
            @NotNull @Size(max = 60) @Schema(description = "Units by their keys, the most important first")
            List<@NotNull @Size(min = 1, max = 140) String> units) {
    }

    /** What a term asks of its classes. */
    @Schema(name = "AskedOfClasses")
    record AskedOf(@NotNull @Size(max = 60) List<@NotNull @Valid AskedView> classes) {
    }

    private final MapStore maps;
    private final TermStore terms;
    private final TermPlans plans;
    private final TermLessons lessons;

    TermController(MapStore maps, TermStore terms, TermPlans plans, TermLessons lessons) {
        this.maps = maps;
        this.terms = terms;
        this.plans = plans;
        this.lessons = lessons;
    }

    @Needs(Right.READ_CLASSES)
    @GetMapping
    @Operation(operationId = "terms", summary = "All terms, the first first")
    List<View> all(@PathVariable UUID mapId) {
        return terms.all(maps.head(mapId).id()).stream().map(View::of).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "newTerm", summary = "Begin a term")
    View keep(@PathVariable UUID mapId, @Valid @RequestBody NewTerm made, @AuthenticationPrincipal SignedIn who) {
        terms.keep(mapId, made.id(), new Term(Text.tidy(made.title()).strip(), made.first(), made.last()), who.id());
        return View.of(terms.one(mapId, made.id()));
    }

    @PutMapping("/{term}")
    @Operation(operationId = "changeTerm", summary = "Change what a term is called and how long it lasts")
    View change(@PathVariable UUID mapId, @PathVariable("term") UUID id, @Valid @RequestBody TermChange change, @AuthenticationPrincipal SignedIn who) {
        terms.change(mapId, id, change.version(), new Term(Text.tidy(change.title()).strip(), change.first(), change.last()), who.id());
        return View.of(terms.one(mapId, id));
    }

    @DeleteMapping("/{term}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeTerm", summary = "Remove a term; its classes stay, and sent again under its id it is there once more")
    void remove(@PathVariable UUID mapId, @PathVariable("term") UUID id, @AuthenticationPrincipal SignedIn who) {
        terms.remove(mapId, id, who);
    }

    @Needs(Right.READ_CLASSES)
    @GetMapping("/{term}")
    @Operation(operationId = "plannedTerm", summary = "A term with what was taught in it, who has seen what, and what is planned")
    TermView one(@PathVariable UUID mapId, @PathVariable("term") UUID id, @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate today,
            @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        TermRow row = terms.one(mapId, id);
        return TermView.of(row, plans.kept(map, row.term(), today, who), today);
    }

    @PostMapping("/{term}/proposal")
    @Operation(operationId = "proposeTerm", summary = "Work out what is taught when in the classes still to come; nothing is kept")
    TermView propose(@PathVariable UUID mapId, @PathVariable("term") UUID id,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate today, @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        TermRow row = terms.one(mapId, id);
        return TermView.of(row, plans.proposed(map, row.term(), today, who), today);
    }

    @PutMapping("/{term}/asked")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "askOfClasses", summary = "Keep what the term asks of its classes, of all that are named or of none")
    void ask(@PathVariable UUID mapId, @PathVariable("term") UUID id, @Valid @RequestBody AskedOf asked,
            @AuthenticationPrincipal SignedIn who) {
        StoredMap map = maps.head(mapId);
        terms.one(mapId, id);
        lessons.ask(map, asked.classes().stream().map(one -> new TermLessons.Asked(one.id(), one.version(), one.units())).toList(), who);
    }
}
