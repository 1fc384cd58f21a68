package app.narrowgate.server.picture;

import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.View;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.picture.Handled;
import app.narrowgate.core.picture.Nudged;
import app.narrowgate.core.picture.Postures;
import app.narrowgate.core.right.Right;
import app.narrowgate.exchange.map.PartJson;
import app.narrowgate.server.config.BuildId;
import app.narrowgate.server.door.Keepable;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.map.MapStore;
import app.narrowgate.server.map.PreviewRequest;
import app.narrowgate.server.map.StoredMap;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.geometry.euclidean.threed.Vector3D;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.WebRequest;

/** How the two bodies are at each place. */
@RestController
@Needs(Right.READ_SHARED_MAPS)
@RequestMapping("/api/maps/{mapId}/pictures")
@Tag(name = "picture")
class PictureController {

    private final MapStore maps;
    private final Pictures pictures;
    private final BuildId build;

    PictureController(MapStore maps, Pictures pictures, BuildId build) {
        this.maps = maps;
        this.pictures = pictures;
        this.build = build;
    }

    @Keepable(tagged = true)
    @GetMapping
    @Operation(operationId = "pictures", summary = "How the two bodies are at each place of a map")
    ResponseEntity<PicturesView> pictures(@PathVariable UUID mapId, @Parameter(hidden = true) WebRequest request) {
        StoredMap map = maps.head(mapId);
        if (request.checkNotModified("\"%s-%s-%d\"".formatted(build.value(), map.id(), map.revision()))) {
            return null;
        }
        return ResponseEntity.ok(pictures.of(map));
    }

    @Keepable
    @GetMapping("/way")
    @Operation(operationId = "pictureWay", summary = "How the two bodies get from one place to another, in four pictures")
    WayView way(@PathVariable UUID mapId, @RequestParam @Size(max = 64) String from, @RequestParam @Size(max = 64) String to) {
        Postures postures = pictures.postures(maps.head(mapId));
        return WayView.of(drawn(postures, from), drawn(postures, to), pictures);
    }

    @Keepable
    @GetMapping("/above")
    @Operation(operationId = "pictureFromAbove", summary = "A place as it is seen from straight above")
    DrawingView above(@PathVariable UUID mapId, @RequestParam @Size(max = 64) String place) {
        Postures.Worked posture = drawn(pictures.postures(maps.head(mapId)), place);
        return DrawingView.of(pictures.draw(posture.bodies(), posture.view().fromAbove()));
    }

    @Needs(Right.EDIT_MAPS)
    @PostMapping("/preview")
    @Operation(operationId = "previewPosture", summary = "A posture as it would be, with a joint taken elsewhere; nothing is stored")
    PostureView preview(@PathVariable UUID mapId, @Valid @RequestBody PosturePreview request) {
        MapIndex map = new PreviewRequest(request.parts()).in(maps.head(mapId));
        Posture posture = map.part(PartKind.POSTURES, Id.of(request.posture())).orElseThrow(
                () -> new NotFoundException("No posture is called “%s”.".formatted(request.posture())));
        Postures postures = pictures.postures(map.map());
        Postures.Worked worked = postures.get(posture.id());
        View view = Seen.of(request.view()).from(worked.view());
        if (request.move() == null) {
            Posture lies = new Posture(posture.id(), posture.title(), "", Optional.of(view), worked.near(), new Posture.Whole(worked.bodies().rounded()));
            return PostureView.lying(Handled.of(worked.bodies(), view), PartJson.write(PartKind.POSTURES, lies));
        }
        JointOf joint = request.move().toJoint();
        Vector3D by = request.move().by(view);
        if (!request.move().done()) {
            Nudge nudge = Nudge.underTheHand(worked.bodies(), joint, by);
            return PostureView.moving(Handled.roughly(nudge.bodies(), view), nudge);
        }
        Nudged nudged = Nudged.of(postures, posture, joint, by);
        return PostureView.moved(Handled.of(nudged.nudge().bodies(), view), nudged.nudge(), nudged.whole(),
                PartJson.write(PartKind.POSTURES, nudged.posture()));
    }

    private static Postures.Worked drawn(Postures postures, String place) {
        return postures.get(postures.ofPlace(Id.of(place)).orElseThrow(
                () -> new NotFoundException("Nobody has drawn “%s”, or there is no such place.".formatted(place))));
    }
}
