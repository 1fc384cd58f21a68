package app.narrowgate.core.map;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/** Replacing and finding entries of lists by their ids. */
final class Entries {

    private Entries() {
    }

    /** A copy of {@code list} with {@code part} in the place of the one with the same id, or at the end. */
    static <T> List<T> put(List<T> list, T part, Function<T, Id> idOf) {
        List<T> copy = new ArrayList<>(list);
        for (int i = 0; i < copy.size(); i++) {
            if (idOf.apply(copy.get(i)).equals(idOf.apply(part))) {
                copy.set(i, part);
                return copy;
            }
        }
        copy.add(part);
        return copy;
    }

    /** The parts by id, in their order; of two with one id the first. */
    static <T> Map<Id, T> byId(List<T> list, Function<T, Id> idOf) {
        Map<Id, T> index = new LinkedHashMap<>();
        list.forEach(part -> index.putIfAbsent(idOf.apply(part), part));
        return index;
    }
}
