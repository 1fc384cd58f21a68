package app.narrowgate.server.person;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.person.Pairing;
import app.narrowgate.core.person.Room;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.Needs;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Oneself against the room, for whoever does not see the roster. */
@RestController
@Needs(Right.SEE_ONESELF)
@RequestMapping("/api/me/room")
@Tag(name = "people")
class RoomController {

    /** What the room is to oneself. */
    @Schema(name = "Room")
    record RoomView(@Schema(description = "Empty where the room cannot be told of") List<ThirdView> thirds,
            @Schema(description = "What hurts oneself today") List<String> injuries,
            @Nullable @Schema(description = "Why it cannot be told of, and how to mend that") String missing) {
    }

    /** A third of the room. */
    @Schema(name = "RoomThird")
    record ThirdView(@Schema(allowableValues = {"lighter", "middle", "heavier"}) String third,
            @Nullable @Schema(description = "Kilograms by which they are heavier, about") Double weightGap,
            @Nullable @Schema(description = "Centimetres by which they are taller, about; missing where too few heights are known")
            Double heightGap) {

        static ThirdView of(Room.Third third, Pairing pairing) {
            return new ThirdView(third.code(), pairing.weightGap().orElse(null), pairing.heightGap().orElse(null));
        }
    }

    private final People people;

    RoomController(People people) {
        this.people = people;
    }

    @GetMapping
    @Operation(operationId = "room", summary = "How much heavier and taller than oneself those are with whom one trains")
    RoomView room(@AuthenticationPrincipal SignedIn who) {
        List<ThirdView> thirds = new ArrayList<>();
        TreeSet<String> hurt = new TreeSet<>();
        try {
            for (Room.Third third : Room.Third.values()) {
                Pairing pairing = people.againstRoom(third, who);
                thirds.add(ThirdView.of(third, pairing));
                pairing.injuries().forEach(injury -> hurt.add(injury.code()));
            }
        } catch (RefusedException refused) {
            return new RoomView(List.of(), List.of(), refused.getMessage());
        }
        return new RoomView(thirds, List.copyOf(hurt), null);
    }
}
