package app.narrowgate.core.odds;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import app.narrowgate.core.map.StanceRef;
import app.narrowgate.core.map.ThinkingTime;
import app.narrowgate.core.solve.PartnerRead;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A setting as it is asked for, in codes; whatever is missing takes its usual value: the map's first aim, no read, no late
 * start, the house's thinking time, matchup and stances.
 *
 * @param read in [0,1]
 * @param late in seconds, as {@link Setting#LATE}
 * @param matchup a saved matchup of the map; what follows it holds over what that says
 * @param weightGap in kilograms
 * @param heightGap in centimetres
 * @param occasion a code of {@link Occasion}
 * @param age a code of {@link AgeGroup}
 * @param level a code of {@link Level}
 * @param injuries codes of {@link Injury}
 * @param stances each written {@code principle/stance}, or {@code principle/any} to go by its condition
 * @param thinkBase in seconds
 * @param thinkPerBit in seconds
 */
public record SettingRequest(Optional<String> aim, Optional<Double> read, Optional<Double> late, Optional<String> matchup,
        Optional<Double> weightGap, Optional<Double> heightGap, Optional<Boolean> jacket, Optional<String> occasion,
        Optional<String> age, Optional<String> level, Optional<List<String>> injuries, List<String> stances,
        Optional<Double> thinkBase, Optional<Double> thinkPerBit) {

    private static final Id BY_CONDITION = Id.of("any");

    /**
     * The setting on a map.
     *
     * @throws RefusedException when something named is not on the map, or a number lies outside its range
     */
    public Setting on(MapIndex index) {
        Id aimId = written(aim).map(Id::of).orElseGet(() -> index.map().aims().get(0).id());
        ThinkingTime usual = index.map().house().thinking();
        ThinkingTime thinking = new ThinkingTime(thinkBase.orElse(usual.base()), thinkPerBit.orElse(usual.perBit()));
        return new Setting(aimId, new PartnerRead(read.orElse(0.0)), late.orElse(0.0), thinking, matchupOn(index), stancesOn(index),
                Set.of());
    }

    private static Optional<String> written(Optional<String> field) {
        return field.filter(text -> !text.isBlank());
    }

    private Matchup matchupOn(MapIndex index) {
        Matchup saved = written(matchup).map(id -> saved(index, id)).orElseGet(() -> index.map().houseMatchup());
        Set<Injury> hurt = new LinkedHashSet<>();
        injuries.ifPresentOrElse(codes -> codes.forEach(code -> hurt.add(Coded.require(Injury.class, "An injury", code))),
                () -> hurt.addAll(saved.injuries()));
        return new Matchup(saved.id(), saved.title(), weightGap.orElse(saved.weightGap()), heightGap.orElse(saved.heightGap()),
                jacket.orElse(saved.jacket()),
                occasion.map(code -> Coded.require(Occasion.class, "The setting", code)).orElse(saved.setting()),
                age.map(code -> Coded.require(AgeGroup.class, "The age group", code)).orElse(saved.age()),
                level.map(code -> Coded.require(Level.class, "The level", code)).orElse(saved.level()), hurt, saved.facts());
    }

    private static Matchup saved(MapIndex index, String id) {
        return index.matchup(Id.of(id)).orElseThrow(() -> {
            List<String> known = new ArrayList<>();
            index.map().matchups().forEach(saved -> known.add(saved.id().value()));
            return new RefusedException("No matchup is called “%s”; the map has %s.".formatted(id, known));
        });
    }

    private Map<Id, Id> stancesOn(MapIndex index) {
        Map<Id, Id> taken = new LinkedHashMap<>(index.map().houseStances());
        for (String written : stances) {
            StanceRef named = StanceRef.read(written).filter(stance -> stance.stance().equals(BY_CONDITION) || isOn(index, stance))
                    .filter(stance -> index.principle(stance.principle()).isPresent())
                    .orElseThrow(() -> new RefusedException(
                            "“%s” is not a stance on this map; write principle/stance.".formatted(written)));
            if (named.stance().equals(BY_CONDITION)) {
                taken.remove(named.principle());
            } else {
                taken.put(named.principle(), named.stance());
            }
        }
        return taken;
    }

    private static boolean isOn(MapIndex index, StanceRef stance) {
        return index.principle(stance.principle()).stream().flatMap(principle -> principle.stances().stream())
                .anyMatch(one -> one.id().equals(stance.stance()));
    }
}
