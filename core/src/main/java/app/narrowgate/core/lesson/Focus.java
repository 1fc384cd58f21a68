package app.narrowgate.core.lesson;

import app.narrowgate.core.check.RefusedException;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Situation;
import app.narrowgate.core.odds.SolvedMap;
import java.util.List;
import java.util.Optional;

/**
 * What a class is about: the places of one family, one place, or everything.
 *
 * @param family a family of the map
 * @param place a situation of the map; not with a family
 */
public record Focus(Optional<Id> family, Optional<Id> place) {

    /** Everything that students start in. */
    public static final Focus EVERYTHING = new Focus(Optional.empty(), Optional.empty());

    public Focus {
        if (family.isPresent() && place.isPresent()) {
            throw new RefusedException("A class is about a family of places or about one place, not both.");
        }
    }

    /** A family of places. */
    public static Focus family(Id id) {
        return new Focus(Optional.of(id), Optional.empty());
    }

    /** One place. */
    public static Focus place(Id id) {
        return new Focus(Optional.empty(), Optional.of(id));
    }

    /**
     * Where a round of this class begins, index place of {@code solved}: as often as students start there, or evenly where none of its places
     * is a start.
     *
     * @throws RefusedException when the map has no such family or place, or there is nothing to begin in
     */
    double[] starts(SolvedMap solved) {
        if (place.isPresent()) {
            return solved.startsAt(place);
        }
        if (family.isEmpty()) {
            return solved.starts();
        }
        if (solved.index().part(PartKind.FAMILIES, family.get()).isEmpty()) {
            throw new RefusedException("No family of places is called “%s”.".formatted(family.get()));
        }
        List<Situation> own = solved.map().situations().stream().filter(this::holds).toList();
        double entries = own.stream().mapToDouble(Situation::entry).sum();
        List<Situation> begun = own.stream().filter(s -> entries > 0 ? s.entry() > 0 : s.rest().isEmpty()).toList();
        if (begun.isEmpty()) {
            throw new RefusedException("Nothing begins in “%s”: it holds no place but places of rest. Choose another focus."
                    .formatted(solved.index().title(PartKind.FAMILIES, family.get())));
        }
        double[] starts = new double[solved.starts().length];
        begun.forEach(s -> starts[solved.place(s.id())] = entries > 0 ? s.entry() / entries : 1.0 / begun.size());
        return starts;
    }

    /** True where a situation is of this focus. */
    public boolean holds(Situation situation) {
        return place.map(situation.id()::equals).orElseGet(() -> family.map(situation.family()::equals).orElse(true));
    }
}
