package app.narrowgate.core.map;

import java.util.Optional;

/** Names one stance of one principle; written {@code principle/stance}. */
public record StanceRef(Id principle, Id stance) {

    /** What is written so; empty where it is not written so. */
    public static Optional<StanceRef> read(String written) {
        int between = written.indexOf('/');
        if (between < 0) {
            return Optional.empty();
        }
        String principle = written.substring(0, between);
        String stance = written.substring(between + 1);
        return Id.problem(principle).isPresent() || Id.problem(stance).isPresent()
                ? Optional.empty() : Optional.of(new StanceRef(Id.of(principle), Id.of(stance)));
    }

    @Override
    public String toString() {
        return principle + "/" + stance;
    }
}
