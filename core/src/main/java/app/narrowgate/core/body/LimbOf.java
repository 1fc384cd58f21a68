package app.narrowgate.core.body;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;

/** A limb of one of the two, written {@code you.pelvis-left}. */
public record LimbOf(Player player, Limb limb) {

    /**
     * Reads the written form.
     *
     * @param name what it is called in an error
     * @throws RefusedException naming what there is instead
     */
    public static LimbOf of(String name, String written) {
        String[] parts = JointOf.halves(name, written);
        return new LimbOf(Coded.require(Player.class, name, parts[0]), Coded.require(Limb.class, name, parts[1]));
    }

    /** Its place among the limbs of both. */
    int index() {
        return player.ordinal() * Limb.COUNT + limb.ordinal();
    }

    /** The same limb of the other player. */
    LimbOf swapped() {
        return new LimbOf(player.other(), limb);
    }

    /** The same limb of the other side. */
    public LimbOf mirrored() {
        return new LimbOf(player, limb.mirrored());
    }

    @Override
    public String toString() {
        return player.code() + "." + limb.code();
    }
}
