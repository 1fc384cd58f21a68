package app.narrowgate.core.odds;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Aim;
import app.narrowgate.core.map.Clock;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Outcome;
import app.narrowgate.core.map.Reaction;
import app.narrowgate.core.map.Response;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.solve.Game;
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

    private GameCompiler(MapIndex index, Conditions conditions) {
        this.index = index;
        this.setting = conditions.setting();
        this.conditions = conditions;
        EscapeMap map = index.map();
        int mostOptions = map.reactions().size() + map.situations().size();
        int mostResponses = 0;
        for (Reaction reaction : map.reactions()) {
            mostResponses += reaction.responses().size();
        }
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
     * The game of {@code index}'s map under {@code conditions}.
     *
     * @throws RefusedException when the map has no such aim
     */
    static Game compile(MapIndex index, Conditions conditions) {
        return new GameCompiler(index, conditions).compile();
    }

    /** The same by the figures written on the map. */
    static Game compile(MapIndex index, Setting setting) {
        return compile(index, Conditions.of(index, setting));
    }

    /**
     * The game of {@code base}'s map and figures with more reactions taken away; the same as compiling it, but only
     * what they touch is worked out anew. Cost O(responses) copies.
     *
     * @param conditions of the setting without them
     */
    static Game without(SolvedMap base, Conditions conditions) {
        return new GameCompiler(base.index(), conditions).strike(base);
    }

    private Game strike(SolvedMap base) {
        Game whole = base.game();
        int[] optionStart = new int[whole.situations + 1];
        for (int s = 0; s < whole.situations; s++) {
            int left = 0;
            for (int o = whole.optionStart[s]; o < whole.optionStart[s + 1]; o++) {
                left += isStruck(base, o) ? 0 : 1;
            }
            boolean touched = left < whole.options(s);
            if (touched && left == 0 && whole.becomes[s] != s) {
                addOption(Game.WAIT, 0, 0, 1, s);
            }
            for (int o = whole.optionStart[s]; o < whole.optionStart[s + 1]; o++) {
                if (!isStruck(base, o)) {
                    copyOption(whole, o);
                    if (touched && whole.becomes[s] != s) {
                        rate(s, left);
                    }
                }
            }
            optionStart[s + 1] = options;
        }
        responseStart[options] = responses;
        return game(whole.worth, whole.rests, optionStart, whole.becomes);
    }

    /**
     * The game of {@code base}'s map by other figures, or under another read, late start or thinking time; the same as compiling
     * it, but nothing is looked up anew that these do not change. Cost O(responses).
     *
     * @param conditions of the other figures, or of a {@linkplain Setting#retimed retimed} setting
     */
    static Game rated(SolvedMap base, Conditions conditions) {
        return new GameCompiler(base.index(), conditions).rate(base);
    }

    private Game rate(SolvedMap base) {
        Game whole = base.game();
        for (int s = 0; s < whole.situations; s++) {
            for (int o = whole.optionStart[s]; o < whole.optionStart[s + 1]; o++) {
                copyOption(whole, o);
                if (!whole.waits(o)) {
                    rateLast(whole, s);
                }
            }
        }
        responseStart[options] = responses;
        return game(whole.worth, whole.rests, whole.optionStart, whole.becomes);
    }

    /** Works out again what hangs on figures of the option added last. */
    private void rateLast(Game whole, int s) {
        int o = options - 1;
        Reaction reaction = index.map().reactions().get(optionReaction[o]);
        rate(s, whole.options(s));
        double total = 0;
        for (int i = responseStart[o]; i < responses; i++) {
            chance[i] = conditions.weight(reaction, reaction.responses().get(i - responseStart[o]));
            total += chance[i];
        }
        for (int i = responseStart[o]; i < responses; i++) {
            chance[i] /= total;
        }
    }

    private boolean isStruck(SolvedMap base, int o) {
        return !base.game().waits(o) && setting.without().contains(base.reaction(o).id());
    }

    private void copyOption(Game whole, int o) {
        addOption(whole.optionReaction[o], whole.going[o], whole.stuffedShare[o], whole.lateShare[o], whole.stuffed[o]);
        for (int i = whole.responseStart[o]; i < whole.responseStart[o + 1]; i++) {
            landing[responses] = whole.landing[i];
            chance[responses++] = whole.chance[i];
        }
    }

    /** Works out again how likely the option added last is in time, among so many answers, and gets going. */
    private void rate(int s, int answers) {
        int o = options - 1;
        Reaction reaction = index.map().reactions().get(optionReaction[o]);
        double in = index.map().situations().get(s).clock().map(clock -> inTime(clock, reaction, answers)).orElse(1.0);
        double works = reaction.responses().isEmpty() ? 0 : conditions.works(reaction);
        going[o] = in * works;
        stuffedShare[o] = in * (1 - works);
        lateShare[o] = 1 - in;
    }

    private Game compile() {
        EscapeMap map = index.map();
        Aim aim = index.aim(setting.aim()).orElseThrow(() -> new RefusedException(
                "No aim is called “%s”; the map has %s.".formatted(setting.aim(),
                        map.aims().stream().map(a -> a.id().value()).toList())));
        int situations = map.situations().size();
        double[] worth = new double[situations + map.outcomes().size()];
        map.situations().forEach(s -> place.put(s.id(), place.size()));
        map.outcomes().forEach(o -> place.put(o.id(), place.size()));
        for (Situation s : map.situations()) {
            worth[place.get(s.id())] = aim.worthOf(s);
        }
        for (Outcome o : map.outcomes()) {
            worth[place.get(o.id())] = aim.worthOf(o);
        }
        for (int i = 0; i < map.reactions().size(); i++) {
            reactionIndex.put(map.reactions().get(i).id(), i);
        }
        int[] optionStart = new int[situations + 1];
        int[] becomes = new int[situations];
        boolean[] rests = new boolean[situations];
        for (int s = 0; s < situations; s++) {
            Situation situation = map.situations().get(s);
            boolean over = conditions.endsAt(situation);
            rests[s] = over || situation.rest().isPresent();
            becomes[s] = over ? s : situation.clock().map(c -> place.get(c.becomes())).orElse(s);
            addOptions(situation, s);
            optionStart[s + 1] = options;
        }
        responseStart[options] = responses;
        return game(worth, rests, optionStart, becomes);
    }

    private Game game(double[] worth, boolean[] rests, int[] optionStart, int[] becomes) {
        return new Game(worth, rests, optionStart, Arrays.copyOf(optionReaction, options),
                Arrays.copyOf(going, options), Arrays.copyOf(stuffedShare, options),
                Arrays.copyOf(lateShare, options), Arrays.copyOf(stuffed, options), becomes,
                Arrays.copyOf(responseStart, options + 1), Arrays.copyOf(landing, responses),
                Arrays.copyOf(chance, responses), setting.read());
    }

    private void addOptions(Situation situation, int s) {
        List<Reaction> usable = conditions.usable(situation);
        if (usable.isEmpty() && situation.clock().isPresent() && !conditions.endsAt(situation)) {
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
                conditions.seconds(clock));
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
        double total = 0;
        for (Response response : reaction.responses()) {
            total += conditions.weight(reaction, response);
        }
        for (Response response : reaction.responses()) {
            landing[responses] = place.get(response.leads().orElseGet(reaction::whenStuffed));
            chance[responses] = conditions.weight(reaction, response) / total;
            responses++;
        }
    }
}
