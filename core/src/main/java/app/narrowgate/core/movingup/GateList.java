package app.narrowgate.core.movingup;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.trait.Level;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where an answer is shown before somebody moves up.
 *
 * @param from the level that they are at; nobody moves up from the last one
 * @param places situations of the map, each once
 */
public record GateList(Level from, List<Id> places) {

    /** Places of one list. */
    public static final int MOST = 24;

    private static final int SUGGESTED = 6;

    public GateList {
        places = List.copyOf(places);
        if (to(from).isEmpty()) {
            throw new RefusedException("Nobody moves up from “%s”; it is the last level.".formatted(from.code()));
        }
        if (places.size() > MOST || new HashSet<>(places).size() < places.size()) {
            throw new RefusedException("At most %d places are on a list, each once.".formatted(MOST));
        }
    }

    /** The level to which one moves up. */
    public static Optional<Level> to(Level from) {
        return from.ordinal() + 1 < Level.values().length ? Optional.of(Level.values()[from.ordinal() + 1]) : Optional.empty();
    }

    /**
     * What the map would ask: the places in which rounds begin and something is taught for that level, those first where being able to answer
     * brings most: how often rounds begin there, times what the place is worth. One of each family comes before a second one of any.
     *
     * @param solved under that level
     */
    public static GateList suggested(Level from, SolvedMap solved) {
        Map<Id, Integer> ofFamily = new HashMap<>();
        Map<Situation, Integer> before = new LinkedHashMap<>();
        solved.map().situations().stream()
                .filter(one -> one.rest().isEmpty() && bringing(solved, one) > 0 && solved.best(solved.place(one.id())).isPresent())
                .sorted(Comparator.comparingDouble((Situation one) -> -bringing(solved, one)).thenComparing(Situation::id))
                .forEach(one -> before.put(one, ofFamily.merge(one.family(), 1, Integer::sum)));
        return new GateList(from, before.entrySet().stream().sorted(Map.Entry.comparingByValue()).limit(SUGGESTED).map(each -> each.getKey().id()).toList());
    }

    private static double bringing(SolvedMap solved, Situation one) {
        return one.entry() * solved.worth(one.id());
    }
}
