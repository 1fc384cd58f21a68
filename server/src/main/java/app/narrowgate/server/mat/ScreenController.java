package app.narrowgate.server.mat;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.server.door.LinkToken;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.gym.GymScope;
import app.narrowgate.server.picture.Pictures;
import app.narrowgate.server.picture.PicturesView;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** A class as it runs, for whoever has a link. What opens it is sent in the body, so that it stands in no log. */
@RestController
@Open
@RequestMapping("/api/screens")
@Tag(name = "mat")
class ScreenController {

    /** A running class with what does not change while it runs. */
    @Schema(name = "Screen")
    record ScreenView(@Schema(allowableValues = {"screen", "clicker", "feeder"}) String kind, Instant expiresAt, MatView mat, PicturesView pictures) {
    }

    /** A press on a clicker. */
    @Schema(name = "Click")
    record Click(@NotBlank @Size(max = 100) String token, @NotNull @Valid Press press) {
    }

    private final MatStore mats;
    private final Steering steering;
    private final MatScreens screens;
    private final MatLinks links;
    private final Pictures pictures;

    ScreenController(MatStore mats, Steering steering, MatScreens screens, MatLinks links, Pictures pictures) {
        this.mats = mats;
        this.steering = steering;
        this.screens = screens;
        this.links = links;
        this.pictures = pictures;
    }

    @PostMapping("/look")
    @Operation(operationId = "lookAtScreen", summary = "The class that a link shows")
    ScreenView look(@Valid @RequestBody LinkToken token) {
        MatLink link = links.open(token.token());
        return GymScope.of(link.gym()).get(() -> {
            MatStore.Kept kept = running(link);
            return new ScreenView(link.kind().code(), link.expiresAt(), mats.view(kept), pictures.of(kept.map()).only(MatController.places(kept.run())));
        });
    }

    @PostMapping(path = "/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @Operation(operationId = "followScreen", summary = "Follow the class that a link shows")
    SseEmitter follow(@Valid @RequestBody LinkToken token) {
        MatLink link = links.open(token.token());
        GymScope.of(link.gym()).get(() -> running(link));
        return screens.follow(link.gym(), link.lesson(), Optional.of(link.id()));
    }

    @PostMapping("/presses")
    @Operation(operationId = "click", summary = "Go on, go back, stop or go on, by a clicker's link")
    MatView click(@Valid @RequestBody Click click) {
        MatLink link = links.open(click.token());
        if (link.kind() != MatLink.Kind.CLICKER) {
            throw new RefusedException("This link shows the class; it does not steer it. Ask whoever teaches for a clicker.");
        }
        return GymScope.of(link.gym()).get(() -> mats.view(steering.click(link.lesson(), click.press())));
    }

    private MatStore.Kept running(MatLink link) {
        return mats.find(link.lesson()).orElseThrow(() -> new NotFoundException("This class is not on the mat any more."));
    }
}
