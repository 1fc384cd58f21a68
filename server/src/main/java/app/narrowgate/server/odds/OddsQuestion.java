package app.narrowgate.server.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.Principle;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.person.Pairing;
import app.narrowgate.core.solve.PartnerRead;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Size;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    private static final String BY_CONDITION = "any";

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
        Id aimId = aim == null || aim.isBlank() ? index.map().aims().get(0).id() : Id.of(aim);
        ThinkingTime thinking = new ThinkingTime(or(thinkBase, index.map().house().thinking().base()),
                or(thinkPerBit, index.map().house().thinking().perBit()));
        return new Setting(aimId, new PartnerRead(or(read, 0.0)), or(late, 0.0), thinking, toMatchup(index), toStances(index), Set.of());
    }

    private Matchup toMatchup(MapIndex index) {
        Matchup saved = matchup == null || matchup.isBlank() ? index.map().houseMatchup()
                : index.matchup(Id.of(matchup)).orElseThrow(() -> new RefusedException(
                        "No matchup is called “%s”; the map has %s.".formatted(matchup,
                                index.map().matchups().stream().map(m -> m.id().value()).toList())));
        Set<Injury> injuries = new LinkedHashSet<>();
        if (injury == null) {
            injuries.addAll(saved.injuries());
        } else {
            injury.forEach(code -> injuries.add(Coded.require(Injury.class, "An injury", code)));
        }
        return new Matchup(saved.id(), saved.title(), or(weightGap, saved.weightGap()),
                or(heightGap, saved.heightGap()), or(jacket, saved.jacket()),
                setting == null ? saved.setting() : Coded.require(Occasion.class, "The setting", setting),
                age == null ? saved.age() : Coded.require(AgeGroup.class, "The age group", age),
                level == null ? saved.level() : Coded.require(Level.class, "The level", level), injuries, saved.facts());
    }

    private Map<Id, Id> toStances(MapIndex index) {
        Map<Id, Id> stances = new LinkedHashMap<>(index.map().houseStances());
        for (String written : stance == null ? List.<String>of() : stance) {
            String[] parts = written.split("/", -1);
            Principle principle = parts.length != 2 ? null : index.map().principles().stream()
                    .filter(p -> p.id().value().equals(parts[0])).findFirst().orElse(null);
            if (principle == null || !parts[1].equals(BY_CONDITION)
                    && principle.stances().stream().noneMatch(s -> s.id().value().equals(parts[1]))) {
                throw new RefusedException(
                        "“%s” is not a stance on this map; write principle/stance.".formatted(written));
            }
            if (parts[1].equals(BY_CONDITION)) {
                stances.remove(principle.id());
            } else {
                stances.put(principle.id(), Id.of(parts[1]));
            }
        }
        return stances;
    }

    private static <T> T or(T value, T otherwise) {
        return value == null ? otherwise : value;
    }
}
