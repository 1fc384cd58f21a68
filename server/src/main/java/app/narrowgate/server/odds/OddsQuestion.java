package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SettingRequest;
import app.narrowgate.core.person.Pairing;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** What odds are asked for; whatever is missing takes its usual value. */
public record OddsQuestion(
        @Parameter(description = "An aim of the map; the first one when missing", example = "guard-or-better")
        @Nullable String aim,
        @Parameter(description = "How well the partner reads you, 0 by habit to 1 always the worst for you",
                example = "0.25") @Nullable @DecimalMin("0") @DecimalMax("1") Double read,
        @Parameter(description = "Seconds by which the student starts too late", example = "0.5")
        @Nullable @DecimalMin("0") @DecimalMax("30") Double late,
        @Parameter(description = "A saved matchup of the map; the house's own when missing", example = "much-heavier")
        @Nullable String matchup,
        @Parameter(description = "Kilograms by which they are heavier, over the saved matchup's", example = "20")
        @Nullable @DecimalMin("-150") @DecimalMax("150") Double weightGap,
        @Parameter(description = "Centimetres by which they are taller, over the saved matchup's")
        @Nullable @DecimalMin("-80") @DecimalMax("80") Double heightGap,
        @Parameter(description = "With a jacket, over the saved matchup's") @Nullable Boolean jacket,
        @Parameter(description = "sport or self-protection, over the saved matchup's") @Nullable String setting,
        @Parameter(description = "adults or children, over the saved matchup's") @Nullable String age,
        @Parameter(description = "novice, intermediate or advanced, over the saved matchup's") @Nullable String level,
        @Parameter(description = "Injuries, over the saved matchup's") @Nullable @Size(max = 8) List<String> injury,
        @Parameter(description = "Stances, each written principle/stance, or principle/any to go by its condition; "
                + "the house's own for the others",
                example = "near-hand/upper-arm") @Nullable @Size(max = 50) List<String> stance,
        @Parameter(description = "Seconds to react at all; the house's own when missing", example = "0.2")
        @Nullable @DecimalMin("0") @DecimalMax("10") Double thinkBase,
        @Parameter(description = "Seconds for each doubling of the choices; the house's own when missing", example = "0.15")
        @Nullable @DecimalMin("0") @DecimalMax("10") Double thinkPerBit,
        @Parameter(description = "Somebody on the roster who is below; with who is on top, their sizes, level and what hurts hold over "
                + "the saved matchup's") @Nullable UUID you,
        @Parameter(description = "Somebody on the roster who is on top") @Nullable UUID they,
        @Parameter(description = "Oneself below and the room on top: the lighter, the middle or the heavier third of it; what is known of "
                + "oneself holds over the saved matchup's", schema = @Schema(allowableValues = {"lighter", "middle", "heavier"}))
        @Nullable String room) {

    /** What is asked for where nobody in particular is below or on top; null for whatever takes its usual value. */
    public static OddsQuestion ofNobody(String aim, Double read, Double late, String matchup, List<String> stances) {
        return new OddsQuestion(aim, read, late, matchup, null, null, null, null, null, null, null, stances, null, null, null, null, null);
    }

    /** The same for two people: what is asked for besides holds over what is known of them. */
    OddsQuestion between(Pairing pairing) {
        return new OddsQuestion(aim, read, late, matchup, or(weightGap, pairing.weightGap().orElse(null)),
                or(heightGap, pairing.heightGap().orElse(null)), jacket, setting, or(age, pairing.age().code()),
                or(level, pairing.level().map(Coded::code).orElse(null)),
                injury == null ? pairing.injuries().stream().map(Coded::code).sorted().toList() : injury, stance, thinkBase, thinkPerBit,
                null, null, null);
    }

    /**
     * The setting for a map.
     *
     * @throws RefusedException when something named is not on the map, or two people are named and not looked up yet
     */
    public Setting toSetting(MapIndex index) {
        if (you != null || they != null || room != null) {
            throw new IllegalStateException("People are looked up first");
        }
        return new SettingRequest(Optional.ofNullable(aim), Optional.ofNullable(read), Optional.ofNullable(late),
                Optional.ofNullable(matchup), Optional.ofNullable(weightGap), Optional.ofNullable(heightGap),
                Optional.ofNullable(jacket), Optional.ofNullable(setting), Optional.ofNullable(age), Optional.ofNullable(level),
                Optional.ofNullable(injury), or(stance, List.of()), Optional.ofNullable(thinkBase), Optional.ofNullable(thinkPerBit))
                .on(index);
    }

    private static <T> T or(T value, T otherwise) {
        return value == null ? otherwise : value;
    }
}
