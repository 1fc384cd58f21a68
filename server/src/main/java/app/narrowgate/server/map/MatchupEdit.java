package app.narrowgate.server.map;

import app.narrowgate.core.map.AgeGroup;
import app.narrowgate.core.map.Coded;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Injury;
import app.narrowgate.core.map.Level;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.Occasion;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** A matchup as it is typed. */
record MatchupEdit(@Min(1) int revision, @NotBlank @Size(max = 90) String title, double weightGap, double heightGap,
        boolean jacket, @NotNull String setting, @NotNull String age, @NotNull String level,
        @NotNull @Size(max = 8) List<@NotNull String> injuries,
        @NotNull @Size(max = 50) Map<String, @NotNull Boolean> facts) {

    Matchup toMatchup(Id id) {
        Set<Injury> hurt = new LinkedHashSet<>();
        injuries.forEach(code -> hurt.add(Coded.require(Injury.class, "An injury", code)));
        Map<Id, Boolean> known = new LinkedHashMap<>();
        facts.forEach((fact, holds) -> known.put(Id.of(fact), holds));
        return new Matchup(id, title.strip(), weightGap, heightGap, jacket,
                Coded.require(Occasion.class, "The setting", setting), Coded.require(AgeGroup.class, "The age group", age),
                Coded.require(Level.class, "The level", level), hurt, known);
    }
}
