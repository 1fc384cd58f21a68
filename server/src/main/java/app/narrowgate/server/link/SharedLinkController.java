package app.narrowgate.server.link;

import app.narrowgate.core.map.Aim;
import app.narrowgate.core.odds.Odds;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.right.Right;
import app.narrowgate.server.account.SignedIn;
import app.narrowgate.server.door.LinkToken;
import app.narrowgate.server.door.MadeLink;
import app.narrowgate.server.door.Needs;
import app.narrowgate.server.door.Open;
import app.narrowgate.server.map.MapView;
import app.narrowgate.server.map.MapViews;
import app.narrowgate.server.odds.OddsView;
import app.narrowgate.server.odds.SolvedMaps;
import app.narrowgate.server.picture.Pictures;
import app.narrowgate.server.picture.PicturesView;
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
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Links to cards: made and withdrawn by whoever may, read by whoever has one. */
@RestController
@Needs(Right.SHARE)
@RequestMapping("/api/links")
@Tag(name = "link")
class SharedLinkController {

    /** A card to share. */
    @Schema(name = "CardToShare")
    record CardToShare(@NotNull UUID map, @NotBlank @Size(max = 64) String place, @NotNull @Valid SharedSetting setting,
            @NotNull @Min(1) @Max(366) @Schema(description = "For how many days it works") Integer days) {
    }

    /** A link in the list. */
    @Schema(name = "SharedLink")
    record SharedLinkView(UUID id, UUID map, String mapTitle, String place,
            @Schema(description = "What the place was called when the link was made") String title, String madeBy, Instant madeAt,
            Instant expiresAt, @Schema(allowableValues = {"open", "withdrawn", "over"}) String state) {

        static SharedLinkView of(SharedLink one, Instant now) {
            String state = one.withdrawnAt() != null ? "withdrawn" : one.isOpen(now) ? "open" : "over";
            return new SharedLinkView(one.id(), one.map(), one.mapTitle(), one.place(), one.title(), one.madeBy(), one.madeAt(),
                    one.expiresAt(), state);
        }
    }

    /** A card as whoever has its link sees it. */
    @Schema(name = "SharedCard")
    record SharedCardView(String gym, Instant expiresAt, String situation,
            @Schema(description = "Of the map what tells of the situation, and nothing else") MapView map,
            @Schema(description = "What the odds count up to, in words") String aim,
            @Schema(description = "The matchup, in words") String matchup, double read, double late,
            @Nullable @Schema(description = "Missing where the map could not be solved")
            OddsView.SituationOddsView at, PicturesView pictures) {
    }

    private final SharedLinks links;
    private final SolvedMaps solved;
    private final MapViews maps;
    private final Pictures pictures;
    private final Clock clock;

    SharedLinkController(SharedLinks links, SolvedMaps solved, MapViews maps, Pictures pictures, Clock clock) {
        this.links = links;
        this.solved = solved;
        this.maps = maps;
        this.pictures = pictures;
        this.clock = clock;
    }

    @GetMapping
    @Operation(operationId = "sharedLinks", summary = "Links to cards of the last weeks, the newest first")
    List<SharedLinkView> links() {
        Instant now = clock.instant();
        return links.all().stream().map(one -> SharedLinkView.of(one, now)).toList();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "shareCard", summary = "Make a link by which whoever has it reads one card")
    MadeLink share(@Valid @RequestBody CardToShare card, @AuthenticationPrincipal SignedIn who) {
        return links.share(card.map(), card.place(), card.setting(), Duration.ofDays(card.days()), who);
    }

    @DeleteMapping("/{link}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "withdrawLink", summary = "Withdraw a link to a card")
    void withdraw(@PathVariable UUID link, @AuthenticationPrincipal SignedIn who) {
        links.withdraw(link, who);
    }

    @Open
    @PostMapping("/look")
    @Operation(operationId = "lookAtCard", summary = "The card that a link shows")
    SharedCardView look(@Valid @RequestBody LinkToken link) {
        SharedLinks.Card card = links.card(link.token());
        Setting setting = card.setting();
        Odds odds = solved.odds(card.map(), setting);
        String place = card.situation().id().value();
        return new SharedCardView(card.gym(), card.link().expiresAt(), place, maps.excerpt(card.map(), card.situation().id()),
                card.map().index().aim(setting.aim()).map(Aim::title).orElseThrow(), setting.matchup().title(), setting.read().share(),
                setting.late(), odds.converged() ? OddsView.of(card.map().revision(), odds).situations().get(place) : null,
                pictures.of(card.map()).only(Set.of(place)));
    }
}
