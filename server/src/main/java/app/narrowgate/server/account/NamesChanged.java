package app.narrowgate.server.account;

/** Somebody is called otherwise from now on, or is forgotten: what shows names is made anew. */
public record NamesChanged() {
}
