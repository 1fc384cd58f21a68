package app.narrowgate.core.record;

import app.narrowgate.core.map.Id;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a record says of a map's figures. */
public record Evidence(List<Kind> kinds) {

    /**
     * Rounds that say the same.
     *
     * @param times how many, the old ones counting less
     * @param counts what happened in one of them
     * @param whole true where that is sure; false where it is what is to be expected
     * @param noted the answer that was noted in them
     */
    record Kind(double times, Counts counts, boolean whole, Optional<Id> noted) {
    }

    public Evidence {
        kinds = List.copyOf(kinds);
    }

    /** Nothing at all. */
    public static Evidence none() {
        return new Evidence(List.of());
    }

    /** How often {@code reaction} was tried, what is to be expected included; at least {@link #noted}. */
    public double tries(Id reaction) {
        return kinds.stream().mapToDouble(kind -> kind.times() * kind.counts().tries(reaction)).sum();
    }

    /** How often it was noted that {@code reaction} got going. */
    public double noted(Id reaction) {
        return kinds.stream().filter(kind -> kind.noted().equals(Optional.of(reaction))).mapToDouble(Kind::times).sum();
    }

    /** What surely happened. */
    Counts sure() {
        return sum(true);
    }

    /** What is to be expected besides. */
    Counts reckoned() {
        return sum(false);
    }

    private Counts sum(boolean whole) {
        Counts all = new Counts();
        kinds.stream().filter(kind -> kind.whole() == whole).forEach(kind -> all.add(kind.counts(), kind.times()));
        return all;
    }

    /** With more. */
    Evidence and(Kind more) {
        List<Kind> all = new ArrayList<>(kinds);
        all.add(more);
        return new Evidence(all);
    }
}
