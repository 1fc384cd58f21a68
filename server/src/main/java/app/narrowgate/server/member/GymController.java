package app.narrowgate.server.member;

import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.Account;
import app.narrowgate.server.account.Accounts;
import app.narrowgate.server.account.SessionView;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.account.SigningIn;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.gym.Gym;
import app.narrowgate.server.problem.NotFoundException;
import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Instant;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Gyms: opened by whoever has the code of the house, named by their owner. */
@RestController
@RequestMapping("/api/gyms")
@Tag(name = "gym")
class GymController {

    /** A code as short as this would be guessed. */
    private static final int SHORTEST_CODE = 16;

    /** A gym to open, and who answers for it. */
    @Schema(name = "NewGym")
    record NewGym(@NotBlank @Size(max = 200) @Schema(description = "The code of the house, which whoever runs it has") String code,
            @NotBlank @Size(max = 90) String gym, @NotBlank @Size(max = 80) String name, @NotBlank @Size(max = 90) String displayName,
            @NotBlank @Size(max = 400) String password) {

        Accounts.Names names() {
            return new Accounts.Names(name, displayName);
        }
    }

    /** What a gym is called. */
    @Schema(name = "GymEdit")
    record GymEdit(@NotBlank @Size(max = 90) String name) {
    }

    /** A gym. */
    @Schema(name = "Gym")
    record GymView(String name, Instant createdAt) {
    }

    private final Members members;
    private final SigningIn signingIn;
    private final String houseCode;

    GymController(Members members, SigningIn signingIn, @Value("${narrowgate.house-code:}") String houseCode) {
        this.members = members;
        this.signingIn = signingIn;
        this.houseCode = houseCode;
    }

    @Open
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "openGym", summary = "Open a gym in this house, and be its owner")
    SessionView open(@Valid @RequestBody NewGym gym, HttpServletRequest request, HttpServletResponse response) {
        Account owner = signingIn.tried(request, () -> {
            requireCode(gym.code());
            return members.open(gym.gym(), gym.names(), gym.password());
        });
        return signingIn.begin(owner, request, response);
    }

    @Needs(Right.MANAGE_GYM)
    @PutMapping("/mine")
    @Operation(operationId = "nameGym", summary = "Name the gym")
    GymView name(@Valid @RequestBody GymEdit edit, @AuthenticationPrincipal SignedIn who) {
        Gym gym = members.name(edit.name(), who);
        return new GymView(gym.name(), gym.createdAt());
    }

    private void requireCode(String code) {
        boolean right = houseCode.length() >= SHORTEST_CODE && MessageDigest.isEqual(code.getBytes(StandardCharsets.UTF_8),
                houseCode.getBytes(StandardCharsets.UTF_8));
        if (!right) {
            throw new NotFoundException("This is not the code of the house. Whoever runs it finds the link in what ./run prints.");
        }
    }
}
