package app.narrowgate.core.odds;

import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.map.RateRule;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.map.Technique;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What a setting does to a map's reactions: which it closes and why, and how it shifts their rates by the table of
 * {@link RateRule}s. An even pair without house stances changes nothing but what the table says of it.
 */
public final class Conditions {

    private final MapIndex index;
    private final Setting setting;
    private final Rates rates;
    private final List<RateRule> rules;
    private final Optional<Aim> aim;
    private final Map<Id, Boolean> ofThePair;
    private final Map<Id, Shift> shifts;

    /** The sum of the rules on one technique. */
    private record Shift(double logOdds, double logSeconds) {
    }

    private Conditions(MapIndex index, Setting setting, Rates rates) {
        this.index = index;
        this.setting = setting;
        this.rates = rates;
        this.rules = index.map().rulesInForce();
        this.aim = index.aim(setting.aim());
        this.ofThePair = new HashMap<>();
        this.shifts = new ConcurrentHashMap<>();
        index.map().facts().forEach(fact -> fact.measured()
                .ifPresent(measured -> ofThePair.put(fact.id(), measured.holds(setting.matchup()))));
        ofThePair.putAll(setting.matchup().facts());
    }

    /** The conditions of {@code setting} on {@code index}'s map, by the figures written on it. */
    public static Conditions of(MapIndex index, Setting setting) {
        return of(index, setting, Rates.WRITTEN);
    }

    /** The conditions of {@code setting} on {@code index}'s map, by other figures. */
    public static Conditions of(MapIndex index, Setting setting, Rates rates) {
        return new Conditions(index, setting, rates);
    }

    private Conditions(Conditions same, Setting setting, Rates rates) {
        this.index = same.index;
        this.setting = setting;
        this.rates = rates;
        this.rules = same.rules;
        this.aim = same.aim;
        this.ofThePair = same.ofThePair;
        this.shifts = same.shifts;
    }

    /** The same by other figures: what is closed, and what shifts them, hangs on none. */
    Conditions by(Rates others) {
        return new Conditions(this, setting, others);
    }

    /** The same of a setting that differs from this one's in read, late start and thinking time only. */
    Conditions retimed(Setting alike) {
        return new Conditions(this, alike, rates);
    }

    /** What the conditions are of. */
    Setting setting() {
        return setting;
    }

    /** The reactions of a situation that nothing closes, in the map's order. */
    public List<Reaction> usable(Situation situation) {
        List<Reaction> usable = new ArrayList<>();
        for (Reaction reaction : index.reactionsFrom(situation.id())) {
            if (!setting.without().contains(reaction.id()) && closings(situation, reaction).isEmpty()) {
                usable.add(reaction);
            }
        }
        return usable;
    }

    /** Everything that closes {@code reaction} in {@code situation}; empty when it is usable. */
    public List<Closing> closings(Situation situation, Reaction reaction) {
        List<Closing> closings = new ArrayList<>();
        Matchup matchup = setting.matchup();
        if (reaction.isWrong()) {
            closings.add(new Closing(Closing.Kind.DO_NOT, reaction.id().value()));
        }
        if (endsAt(situation)) {
            closings.add(new Closing(Closing.Kind.AIM, setting.aim().value()));
        }
        reaction.needs().forEach((fact, needed) -> {
            Boolean known = situation.facts().getOrDefault(fact, ofThePair.get(fact));
            if (known != null && !known.equals(needed)) {
                closings.add(new Closing(Closing.Kind.FACT, fact.value()));
            }
        });
        Technique technique = technique(reaction);
        technique.stance().ifPresent(stance -> {
            Id house = setting.stances().get(stance.principle());
            if (house != null && !house.equals(stance.stance())) {
                closings.add(new Closing(Closing.Kind.STANCE, stance.toString()));
            }
        });
        for (Injury injury : Injury.values()) {
            if (matchup.injuries().contains(injury) && technique.avoidWith().contains(injury)) {
                closings.add(new Closing(Closing.Kind.INJURY, injury.code()));
            }
        }
        if (matchup.age() == AgeGroup.CHILDREN && !technique.children()) {
            closings.add(new Closing(Closing.Kind.CHILDREN, matchup.age().code()));
        }
        for (RateRule rule : rules) {
            if (rule.effect() == RateRule.Effect.CLOSES && rule.concerns(technique) && rule.dose(matchup, technique) > 0) {
                closings.add(new Closing(Closing.Kind.RULE, rule.id().value()));
            }
        }
        return closings;
    }

    /** True when under the setting's aim a round ends with coming there. */
    boolean endsAt(Situation situation) {
        return aim.filter(wanted -> wanted.endsAt(situation.id())).isPresent();
    }

    /** Chance in [0,1] that {@code reaction} gets going, shifted in log odds; 0 and 1 stay what they are. */
    public double works(Reaction reaction) {
        return works(reaction, rates.works(reaction));
    }

    /** The same if it got going against an even partner as often as {@code chance}, in [0,1]. */
    public double works(Reaction reaction, double chance) {
        double logOdds = shift(reaction).logOdds();
        if (logOdds == 0 || chance <= 0 || chance >= 1) {
            return chance;
        }
        return 1 / (1 + Math.exp(-(Math.log(chance / (1 - chance)) + logOdds)));
    }

    /** Seconds that {@code reaction} takes, at least 0. */
    public double seconds(Reaction reaction) {
        double logSeconds = shift(reaction).logSeconds();
        return logSeconds == 0 ? rates.seconds(reaction) : rates.seconds(reaction) * Math.exp(logSeconds);
    }

    /** Mean seconds until {@code clock} moves on, above 0. */
    public double seconds(Clock clock) {
        return rates.seconds(clock);
    }

    /** How often {@code response} is given, relative to the other responses to {@code reaction}; above 0. */
    public double weight(Reaction reaction, Response response) {
        return rates.weight(reaction, response);
    }

    private Shift shift(Reaction reaction) {
        // Asked for very often by several at once, and computing where it is there already may make them wait for each other.
        Shift known = shifts.get(reaction.technique());
        return known != null ? known : shifts.computeIfAbsent(reaction.technique(), id -> shift(technique(reaction)));
    }

    private Shift shift(Technique technique) {
        double logOdds = 0;
        double logSeconds = 0;
        for (RateRule rule : rules) {
            if (rule.concerns(technique)) {
                double amount = rule.amount() * rule.dose(setting.matchup(), technique);
                logOdds += rule.effect() == RateRule.Effect.WORKS ? amount : 0;
                logSeconds += rule.effect() == RateRule.Effect.SECONDS ? amount : 0;
            }
        }
        return new Shift(logOdds, logSeconds);
    }

    private Technique technique(Reaction reaction) {
        return index.technique(reaction.technique()).orElseThrow(() -> new IllegalStateException(
                "Impossible state: a reaction without its technique " + reaction.technique()));
    }
}
