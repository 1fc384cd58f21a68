package app.narrowgate.core.odds;

import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Compiles a map and a setting into a {@link Game}. The map must have no {@link app.narrowgate.core.map.MapRules}
 * problems. Time and memory linear in the number of responses; order follows the map, so results repeat.
 */
final class GameCompiler {

    private final MapIndex index;
    private final Setting setting;
    private final Conditions conditions;
    private final Map<Id, Integer> place = new HashMap<>();
    private final Map<Id, Integer> reactionIndex = new HashMap<>();
    private final double[] going;
    private final double[] stuffedShare;
    private final double[] lateShare;
    private final int[] stuffed;
    private final int[] optionReaction;
    private final int[] responseStart;
    private final int[] landing;
    private final double[] chance;
    private int options;
    private int responses;

    private GameCompiler(MapIndex index, Setting setting) {
        this.index = index;
        this.setting = setting;
        this.conditions = Conditions.of(index, setting);
        EscapeMap map = index.map();
        int mostOptions = map.reactions().size() + map.situations().size();
        int mostResponses = map.reactions().stream().mapToInt(r -> r.responses().size()).sum();
        going = new double[mostOptions];
        stuffedShare = new double[mostOptions];
        lateShare = new double[mostOptions];
        stuffed = new int[mostOptions];
        optionReaction = new int[mostOptions];
        responseStart = new int[mostOptions + 1];
        landing = new int[mostResponses];
        chance = new double[mostResponses];
    }

    /**
     * The game of {@code index}'s map under {@code setting}.
     *
     * @throws IllegalArgumentException when the map has no such aim
     */
    static Game compile(MapIndex index, Setting setting) {
        return new GameCompiler(index, setting).compile();
    }

    private Game compile() {
        EscapeMap map = index.map();
        Aim aim = index.aim(setting.aim()).orElseThrow(() -> new IllegalArgumentException(
                "No aim is called “%s”; the map has %s.".formatted(setting.aim(),
                        map.aims().stream().map(a -> a.id().value()).toList())));
        int situations = map.situations().size();
        double[] worth = new double[situations + map.outcomes().size()];
        map.situations().forEach(s -> place.put(s.id(), place.size()));
        map.outcomes().forEach(o -> place.put(o.id(), place.size()));
        for (Situation s : map.situations()) {
            worth[place.get(s.id())] = s.rest().map(aim::worthOf).orElse(0.0);
        }
        for (Outcome o : map.outcomes()) {
            worth[place.get(o.id())] = aim.worthOf(o.kind());
        }
        for (int i = 0; i < map.reactions().size(); i++) {
            reactionIndex.put(map.reactions().get(i).id(), i);
        }
        int[] optionStart = new int[situations + 1];
        int[] becomes = new int[situations];
        for (int s = 0; s < situations; s++) {
            Situation situation = map.situations().get(s);
            becomes[s] = situation.clock().map(c -> place.get(c.becomes())).orElse(s);
            addOptions(situation, s);
            optionStart[s + 1] = options;
        }
        responseStart[options] = responses;
        return new Game(worth, situations, optionStart, Arrays.copyOf(optionReaction, options),
                Arrays.copyOf(going, options), Arrays.copyOf(stuffedShare, options),
                Arrays.copyOf(lateShare, options), Arrays.copyOf(stuffed, options), becomes,
                Arrays.copyOf(responseStart, options + 1), Arrays.copyOf(landing, responses),
                Arrays.copyOf(chance, responses), setting.read());
    }

    private void addOptions(Situation situation, int s) {
        List<Reaction> usable = conditions.usable(situation);
        if (usable.isEmpty() && situation.clock().isPresent()) {
            addOption(Game.WAIT, 0, 0, 1, s);
        }
        for (Reaction reaction : usable) {
            double inTime = situation.clock().map(clock -> inTime(clock, reaction, usable.size())).orElse(1.0);
            double works = reaction.responses().isEmpty() ? 0 : conditions.works(reaction);
            addOption(reactionIndex.get(reaction.id()), inTime * works, inTime * (1 - works), 1 - inTime,
                    place.get(reaction.whenStuffed()));
            addResponses(reaction);
        }
    }

    private double inTime(Clock clock, Reaction reaction, int answers) {
        return InTime.chance(setting.late() + setting.thinking().seconds(answers) + conditions.seconds(reaction),
                clock.seconds());
    }

    private void addOption(int reaction, double goes, double stuffs, double comesLate, int stuffedPlace) {
        optionReaction[options] = reaction;
        going[options] = goes;
        stuffedShare[options] = stuffs;
        lateShare[options] = comesLate;
        stuffed[options] = stuffedPlace;
        responseStart[options] = responses;
        options++;
    }

    private void addResponses(Reaction reaction) {
        double total = reaction.responses().stream().mapToDouble(r -> r.often().weight()).sum();
        for (Response response : reaction.responses()) {
            landing[responses] = place.get(response.leads().orElseGet(reaction::whenStuffed));
            chance[responses] = response.often().weight() / total;
            responses++;
        }
    }
}
