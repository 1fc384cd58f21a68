package app.narrowgate.core.map;

/** Names one stance of one principle; written {@code principle/stance}. */
public record StanceRef(Id principle, Id stance) {

    @Override
    public String toString() {
        return principle + "/" + stance;
    }
}
