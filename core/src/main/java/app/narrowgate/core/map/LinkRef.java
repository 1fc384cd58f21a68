package app.narrowgate.core.map;

/**
 * One link of a map: a response to a reaction. Everything that is counted, drilled or learned is counted by these.
 *
 * @param response unique within its reaction only
 */
public record LinkRef(Id reaction, Id response) {

    @Override
    public String toString() {
        return reaction + "/" + response;
    }
}
