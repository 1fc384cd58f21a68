package app.narrowgate.server.mat;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.mat.MatRun;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.person.People;
import app.narrowgate.server.picture.Pictures;
import app.narrowgate.server.picture.PicturesView;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** A class as it runs, for whoever is signed in. */
@RestController
@Needs(Right.RUN_CLASSES)
@RequestMapping("/api/maps/{mapId}/classes/{lesson}/mat")
@Tag(name = "mat")
class MatController {

    /** A running class with what does not change while it runs. */
    @Schema(name = "MatSheet")
    record SheetView(MatView mat, PicturesView pictures, @Schema(description = "Who is here now") List<UUID> here,
            @Schema(description = "Who was here and has gone") List<UUID> gone,
            @Schema(description = "First names of those who only feed, by the part's unit") List<FeedsView> feeds) {
    }

    /** Those who are never on the bottom in a part. */
    @Schema(name = "MatFeeds")
    record FeedsView(String unit, List<String> names) {
    }

    /** A link that was asked for. */
    @Schema(name = "NewMatLink")
    record NewLink(@NotNull @Schema(allowableValues = {"screen", "clicker", "feeder"}) String kind) {
    }

    /** A link in the list. */
    @Schema(name = "MatLink")
    record LinkView(UUID id, @Schema(allowableValues = {"screen", "clicker", "feeder"}) String kind, String madeBy, Instant madeAt, Instant expiresAt,
            @Schema(allowableValues = {"open", "withdrawn", "over"}) String state) {

        static LinkView of(MatLink link, Instant now) {
            String state = link.withdrawnAt() != null ? "withdrawn" : link.isOpen(now) ? "open" : "over";
            return new LinkView(link.id(), link.kind().code(), link.madeBy(), link.madeAt(), link.expiresAt(), state);
        }
    }

    private final MatStore mats;
    private final Steering steering;
    private final MatScreens screens;
    private final MatLinks links;
    private final Pictures pictures;
    private final People people;
    private final Clock clock;

    MatController(MatStore mats, Steering steering, MatScreens screens, MatLinks links, Pictures pictures, People people, Clock clock) {
        this.mats = mats;
        this.steering = steering;
        this.screens = screens;
        this.links = links;
        this.pictures = pictures;
        this.people = people;
        this.clock = clock;
    }

    @PostMapping
    @Operation(operationId = "layOutMat", summary = "Put a class on the mat as it is planned; one that is there stays as it is")
    SheetView layOut(@PathVariable UUID mapId, @PathVariable UUID lesson, @AuthenticationPrincipal SignedIn who) {
        return sheet(mats.layOut(mapId, lesson, who));
    }

    @Needs(Right.READ_CLASSES)
    @Keepable
    @GetMapping
    @Operation(operationId = "mat", summary = "A class as it runs at this moment")
    SheetView mat(@PathVariable UUID mapId, @PathVariable UUID lesson) {
        return sheet(mats.one(mapId, lesson));
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "takeOffMat", summary = "Take a class off the mat; what came of it when it was over stays with it")
    void takeOff(@PathVariable UUID mapId, @PathVariable UUID lesson) {
        mats.throwAway(mapId, lesson);
    }

    @Needs(Right.READ_CLASSES)
    @PostMapping(path = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @Operation(operationId = "followMat", summary = "Follow a class: it is sent at once, at every change and every few seconds")
    SseEmitter follow(@PathVariable UUID mapId, @PathVariable UUID lesson, @AuthenticationPrincipal SignedIn who) {
        mats.one(mapId, lesson);
        return screens.follow(who.gym(), lesson, Optional.empty());
    }

    @PostMapping("/presses")
    @Operation(operationId = "pressMat", summary = "Steer a class")
    MatView press(@PathVariable UUID mapId, @PathVariable UUID lesson, @Valid @RequestBody Press press, @AuthenticationPrincipal SignedIn who) {
        return mats.view(steering.press(mapId, lesson, press, who));
    }

    @GetMapping("/links")
    @Operation(operationId = "matLinks", summary = "Links by which screens, clickers and feeders follow a class, the newest first")
    List<LinkView> links(@PathVariable UUID mapId, @PathVariable UUID lesson) {
        Instant now = clock.instant();
        return links.of(mapId, lesson).stream().map(link -> LinkView.of(link, now)).toList();
    }

    @PostMapping("/links")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "makeMatLink", summary = "Make a link by which whoever has it follows a class")
    MadeLink makeLink(@PathVariable UUID mapId, @PathVariable UUID lesson, @Valid @RequestBody NewLink link, @AuthenticationPrincipal SignedIn who) {
        return links.make(mapId, lesson, Coded.require(MatLink.Kind.class, "What the link is for", link.kind()), who);
    }

    @DeleteMapping("/links/{link}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "withdrawMatLink", summary = "Withdraw a link; what follows the class by it goes dark")
    void withdraw(@PathVariable UUID mapId, @PathVariable UUID lesson, @PathVariable UUID link) {
        links.withdraw(mapId, lesson, link);
    }

    private SheetView sheet(MatStore.Kept kept) {
        MatRun run = kept.run();
        var names = MatViews.firstNames(people.called(new HashSet<>(run.here())));
        List<FeedsView> feeds = run.parts().stream().filter(part -> !part.feeds().isEmpty())
                .map(part -> new FeedsView(part.unit(), part.feeds().stream().filter(names::containsKey).map(names::get).sorted().toList()))
                .filter(one -> !one.names().isEmpty()).toList();
        return new SheetView(mats.view(kept), pictures.of(kept.map()).only(places(run)), run.here(), run.gone(), feeds);
    }

    /** The places of a class, of which pictures are shown. */
    static Set<String> places(MatRun run) {
        return run.parts().stream().flatMap(part -> Stream.concat(part.place().stream(), part.other().stream())).map(id -> id.value())
                .collect(Collectors.toSet());
    }
}
