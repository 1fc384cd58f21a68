package app.narrowgate.core.person;

import app.narrowgate.core.map.Matchup;
import app.narrowgate.core.trait.AgeGroup;
import app.narrowgate.core.trait.Injury;
import app.narrowgate.core.trait.Level;
import java.util.Optional;
import java.util.Set;

/**
 * What two people make of a matchup: the one below and the one on top.
 *
 * @param weightGap their weight less yours, in kilograms; empty unless both are known
 * @param heightGap their height less yours, in centimetres; empty unless both are known
 * @param level the level of the one below, if it is known
 * @param age children where both are, adults otherwise
 * @param injuries of the one below
 */
public record Pairing(Optional<Double> weightGap, Optional<Double> heightGap, Optional<Level> level, AgeGroup age,
        Set<Injury> injuries) {

    public Pairing {
        injuries = Set.copyOf(injuries);
    }

    /**
     * The two of them.
     *
     * @param you the one below
     * @param hurt what hurts the one below on the day
     * @param they the one on top
     */
    public static Pairing of(Person you, Set<Injury> hurt, Person they) {
        boolean children = you.age() == AgeGroup.CHILDREN && they.age() == AgeGroup.CHILDREN;
        return under(they.weight(), they.height(), you, hurt, children ? AgeGroup.CHILDREN : AgeGroup.ADULTS);
    }

    /**
     * Somebody under a typical partner from the room.
     *
     * @param hurt what hurts the one below on the day
     */
    public static Pairing against(Person you, Set<Injury> hurt, Room room) {
        return under(Optional.of(room.weight()), room.height(), you, hurt, you.age());
    }

    private static Pairing under(Optional<Double> weight, Optional<Double> height, Person you, Set<Injury> hurt, AgeGroup age) {
        return new Pairing(gap(you.weight(), weight).map(Matchup.WEIGHT_GAP::nearest),
                gap(you.height(), height).map(Matchup.HEIGHT_GAP::nearest), you.level(), age, hurt);
    }

    /** True where a child would be under somebody grown up, or the other way round; no round is made of that. */
    public static boolean mixesAges(Person you, Person they) {
        return you.age() != they.age();
    }

    private static Optional<Double> gap(Optional<Double> yours, Optional<Double> theirs) {
        return yours.flatMap(mine -> theirs.map(other -> other - mine));
    }
}
