package app.narrowgate.core.map;

import app.narrowgate.core.check.Range;
import app.narrowgate.core.check.Text;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/**
 * Facts about a pair that close reactions or shift their rates.
 *
 * @param weightGap their weight less yours, in kilograms
 * @param heightGap their height less yours, in centimetres
 * @param jacket whether both wear one
 * @param setting what the round is for
 * @param age who is on the mat
 * @param level the bottom player's
 * @param injuries of the bottom player or the feeder; techniques to avoid with one are closed
 * @param facts further facts that hold whatever the situation says nothing about
 */
public record Matchup(Id id, String title, double weightGap, double heightGap, boolean jacket, Occasion setting,
        AgeGroup age, Level level, Set<Injury> injuries, Map<Id, Boolean> facts) implements Part {

    /** Weight gaps. */
    public static final Range WEIGHT_GAP = new Range(-150, 150, "kg");
    /** Height gaps. */
    public static final Range HEIGHT_GAP = new Range(-80, 80, "cm");

    /** Two of the same size and some years on the mat, no jacket, sport. */
    public static final Matchup EVEN = new Matchup(Id.of("even"), "Even pair", 0, 0, false, Occasion.SPORT,
            AgeGroup.ADULTS, Level.ADVANCED, Set.of(), Map.of());

    public Matchup {
        Text.TITLE.require("A matchup's title", title);
        WEIGHT_GAP.require("The weight gap", weightGap);
        HEIGHT_GAP.require("The height gap", heightGap);
        injuries = Set.copyOf(injuries);
        facts = Collections.unmodifiableMap(new LinkedHashMap<>(facts));
    }

    /** The same pair with other facts. */
    Matchup withFacts(Map<Id, Boolean> others) {
        return new Matchup(id, title, weightGap, heightGap, jacket, setting, age, level, injuries, others);
    }

    /** The same pair with another weight gap. */
    public Matchup withWeightGap(double kilograms) {
        return new Matchup(id, title, kilograms, heightGap, jacket, setting, age, level, injuries, facts);
    }

    /** The same with another level. */
    public Matchup withLevel(Level other) {
        return new Matchup(id, title, weightGap, heightGap, jacket, setting, age, other, injuries, facts);
    }
}
