package app.narrowgate.server.person;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Problem;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.person.Ailment;
import app.narrowgate.core.person.Person;
import app.narrowgate.core.person.PersonLine;
import app.narrowgate.core.right.Right;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.exchange.person.RosterCsv;
import app.narrowgate.server.account.Archive;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
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

/** The roster. */
@RestController
@Needs(Right.EDIT_PEOPLE)
@RequestMapping("/api/people")
@Tag(name = "people")
class PersonController {

    private static final int MOST_LINES = 500;

    /** People to add. */
    @Schema(name = "NewPeople")
    record NewPeople(@NotEmpty @Size(max = 2000) List<@NotNull @Valid PersonEdit> people) {
    }

    /** A change of what is known of somebody. */
    @Schema(name = "PersonChange")
    record PersonChange(@Min(1) int version, @NotNull @Valid PersonEdit person) {
    }

    /** Lines, one person each, or a table. */
    @Schema(name = "PeopleText")
    record PeopleText(@NotBlank @Size(max = 500_000) String text) {
    }

    /** What a text would add; nothing is stored. */
    @Schema(name = "PeopleRead")
    record PeopleRead(List<PersonEdit> people, List<Problem> problems) {
    }

    /** By which member somebody signs in. */
    @Schema(name = "PersonLink")
    record PersonLink(@Nullable @Schema(description = "Missing where they do not sign in") UUID account) {
    }

    /** What hurts somebody. */
    @Schema(name = "Ailment")
    record AilmentView(@NotBlank @Schema(allowableValues = {"knee", "neck", "shoulder", "rib", "elbow", "wrist", "ankle", "lower-back"})
            String injury, @Nullable @Schema(description = "The first day") LocalDate from,
            @Nullable @Schema(description = "The last day") LocalDate until, @NotNull @Size(max = 400) String avoid) {

        static AilmentView of(Ailment ailment) {
            return new AilmentView(ailment.injury().code(), ailment.from().orElse(null), ailment.until().orElse(null), ailment.avoid());
        }

        Ailment ailment() {
            return new Ailment(Coded.require(Injury.class, "What hurts", injury), Optional.ofNullable(from), Optional.ofNullable(until),
                    Text.tidy(avoid).strip());
        }
    }

    /** Everything that hurts somebody. */
    @Schema(name = "HealthEdit")
    record HealthEdit(@NotNull @Size(max = 30) List<@NotNull @Valid AilmentView> ailments) {
    }

    /** Two people, the one below and the one on top. */
    @Schema(name = "Pair")
    record PairView(String you, String they, @Nullable @Schema(description = "Kilograms by which they are heavier") Double weightGap,
            @Nullable @Schema(description = "Centimetres by which they are taller") Double heightGap,
            @Nullable @Schema(description = "The level of the one below") String level,
            @Schema(description = "What hurts the one below today, as far as whoever asks may know") List<String> injuries) {

        static PairView of(People.Pair pair) {
            return new PairView(pair.you(), pair.they(), pair.pairing().weightGap().orElse(null), pair.pairing().heightGap().orElse(null),
                    pair.pairing().level().map(Coded::code).orElse(null),
                    pair.pairing().injuries().stream().map(Coded::code).sorted().toList());
        }
    }

    private final People people;
    private final Archive archive;

    PersonController(People people, Archive archive) {
        this.people = people;
        this.archive = archive;
    }

    @Needs(Right.SEE_PEOPLE)
    @Keepable(asked = Keepable.KEPT)
    @GetMapping
    @Operation(operationId = "people", summary = "Who trains here, by name")
    List<PersonView> people(@RequestParam(name = Keepable.KEPT, defaultValue = "false")
            @Schema(description = "Without notes, to stay on a device") boolean stays, @AuthenticationPrincipal SignedIn who) {
        return people.all().stream().map(row -> PersonView.of(row, !stays && who.may(Right.EDIT_PEOPLE))).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "addPeople", summary = "Add people to the roster; all of them, or none")
    List<PersonView> add(@Valid @RequestBody NewPeople added, @AuthenticationPrincipal SignedIn who) {
        return people.add(added.people().stream().map(PersonEdit::person).toList()).stream()
                .map(row -> PersonView.of(row, who.may(Right.EDIT_PEOPLE))).toList();
    }

    @PostMapping("/read-lines")
    @Operation(operationId = "readPeopleLines", summary = "Look at lines, one person each; nothing is stored")
    PeopleRead readLines(@Valid @RequestBody PeopleText lines) {
        List<PersonEdit> read = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        List<String> all = lines.text().lines().toList();
        if (all.size() > MOST_LINES) {
            throw new RefusedException("These are %d lines; at most %d are taken at once.".formatted(all.size(), MOST_LINES));
        }
        for (int i = 0; i < all.size(); i++) {
            if (!all.get(i).isBlank()) {
                try {
                    read.add(PersonEdit.of(PersonLine.read(all.get(i))));
                } catch (RefusedException e) {
                    problems.add(new Problem("line " + (i + 1), e.getMessage()));
                }
            }
        }
        return new PeopleRead(read, problems);
    }

    @PostMapping("/read-table")
    @Operation(operationId = "readPeopleTable", summary = "Look at a table of people; nothing is stored")
    PeopleRead readTable(@Valid @RequestBody PeopleText table) {
        return new PeopleRead(RosterCsv.read(table.text()).stream().map(PersonEdit::of).toList(), List.of());
    }

    @Needs(Right.TAKE_OUT)
    @GetMapping(path = "/table", produces = "text/csv")
    @Operation(operationId = "peopleTable", summary = "The roster as a table, without what hurts anybody")
    ResponseEntity<String> table() {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"roster.csv\"")
                .body(RosterCsv.write(people.all().stream().map(PersonRow::person).toList()));
    }

    @Needs(Right.SEE_PEOPLE)
    @GetMapping("/pair")
    @Operation(operationId = "pair", summary = "What two people make of a matchup")
    PairView pair(@RequestParam UUID you, @RequestParam UUID they, @AuthenticationPrincipal SignedIn who) {
        return PairView.of(people.pair(you, they, who));
    }

    @Needs(Right.SEE_PEOPLE)
    @GetMapping("/{person}")
    @Operation(operationId = "person", summary = "What is known of somebody")
    PersonView person(@PathVariable UUID person, @AuthenticationPrincipal SignedIn who) {
        return PersonView.of(people.one(person), who.may(Right.EDIT_PEOPLE));
    }

    @PutMapping("/{person}")
    @Operation(operationId = "changePerson", summary = "Change what is known of somebody")
    PersonView change(@PathVariable UUID person, @Valid @RequestBody PersonChange change, @AuthenticationPrincipal SignedIn who) {
        return PersonView.of(people.change(person, change.version(), change.person().person()), who.may(Right.EDIT_PEOPLE));
    }

    @DeleteMapping("/{person}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removePerson", summary = "Take somebody off the roster, with everything that is known of them")
    void remove(@PathVariable UUID person, @AuthenticationPrincipal SignedIn who) {
        people.remove(person, who);
    }

    @Needs(Right.MANAGE_MEMBERS)
    @PutMapping("/{person}/account")
    @Operation(operationId = "linkPerson", summary = "Say as which member somebody signs in")
    PersonView link(@PathVariable UUID person, @Valid @RequestBody PersonLink link, @AuthenticationPrincipal SignedIn who) {
        people.link(person, Optional.ofNullable(link.account()));
        return PersonView.of(people.one(person), who.may(Right.EDIT_PEOPLE));
    }

    @Needs(Right.READ_HEALTH)
    @GetMapping("/{person}/health")
    @Operation(operationId = "health", summary = "What hurts somebody; that it was read is noted")
    List<AilmentView> health(@PathVariable UUID person, @AuthenticationPrincipal SignedIn who) {
        return people.health(person, who).stream().map(AilmentView::of).toList();
    }

    @Needs(Right.READ_HEALTH)
    @GetMapping(path = "/{person}/archive", produces = "application/zip")
    @Operation(operationId = "personArchive", summary = "Everything that is known of somebody, as an archive")
    ResponseEntity<byte[]> archive(@PathVariable UUID person, @AuthenticationPrincipal SignedIn who) {
        return ResponseEntity.ok().header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"person.zip\"")
                .body(archive.zip(people.everything(person, who)));
    }

    @Needs(Right.READ_HEALTH)
    @PutMapping("/{person}/health")
    @Operation(operationId = "writeHealth", summary = "Write down what hurts somebody")
    List<AilmentView> write(@PathVariable UUID person, @Valid @RequestBody HealthEdit edit, @AuthenticationPrincipal SignedIn who) {
        return people.write(person, edit.ailments().stream().map(AilmentView::ailment).toList(), who).stream().map(AilmentView::of).toList();
    }
}
