package app.narrowgate.core.map;

/**
 * What a map is made of: an entry of one of its lists, with an id that is unique there. {@link PartKind} says which
 * list.
 */
public sealed interface Part permits Family, Fact, Principle, Movement, Technique, Situation, Outcome, Reaction, Aim,
        Matchup, RateRule, Hold, Posture {

    /** What others name it by. Where parts of two kinds can be named by the same field they share one set of ids. */
    Id id();
}
