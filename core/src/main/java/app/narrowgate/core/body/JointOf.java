package app.narrowgate.core.body;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.RefusedException;

/** A joint of one of the two, written {@code they.hand-left}. */
public record JointOf(Player player, Joint joint) {

    /**
     * Reads the written form.
     *
     * @param name what it is called in an error
     * @throws RefusedException naming what there is instead
     */
    public static JointOf of(String name, String written) {
        String[] parts = halves(name, written);
        return new JointOf(Coded.require(Player.class, name, parts[0]), Coded.require(Joint.class, name, parts[1]));
    }

    /** A player's part as it is written: the player, a dot, the part. */
    static String[] halves(String name, String written) {
        int dot = written.indexOf('.');
        if (dot < 0) {
            throw new RefusedException("%s is “%s”; write whose it is and what, as in they.hand-left.".formatted(name, written));
        }
        return new String[] {written.substring(0, dot), written.substring(dot + 1)};
    }

    /** Its place in the arrays that hold both bodies. */
    int index() {
        return player.ordinal() * Joint.COUNT + joint.ordinal();
    }

    /** The same joint of the other player. */
    JointOf swapped() {
        return new JointOf(player.other(), joint);
    }

    /** The same joint of the other side. */
    public JointOf mirrored() {
        return new JointOf(player, joint.mirrored());
    }

    @Override
    public String toString() {
        return player.code() + "." + joint.code();
    }
}
