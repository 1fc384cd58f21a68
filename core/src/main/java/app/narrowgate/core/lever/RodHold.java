package app.narrowgate.core.lever;

/**
 * A limb that turns about one end, held somewhere along it: an arm that closes at the elbow, held at the wrist or nearer;
 * a shin that is pressed down at the ankle or nearer. The same turn takes a force that grows as the distance shrinks:
 * force · distance stays the same.
 *
 * @param limb which limb of theirs turns
 * @param stature how tall they are, metres
 * @param atTheEnd what it takes at the far end, as the weight of so many kilograms
 * @param along where it is held, from the joint about which it turns (0) to its far end (1); at least a tenth
 */
public record RodHold(Limb limb, double stature, double atTheEnd, double along) {

    /** A limb that turns. */
    public enum Limb {
        /** About the elbow; its far end is the wrist. */
        FOREARM(Measures.FOREARM),
        /** About the knee; its far end is the ankle. */
        SHANK(Measures.SHANK);

        private final double share;

        Limb(double share) {
            this.share = share;
        }
    }

    /** @throws RefusedException when a number lies outside */
    public RodHold {
        Measures.STATURE.require("Their stature", stature);
        Measures.FORCE.require("What it takes at the far end", atTheEnd);
        Measures.ALONG.require("Where it is held", along);
    }

    /** How long the limb is, metres. */
    public double length() {
        return limb.share * stature;
    }

    /** How far from the joint it is held, metres. */
    public double distance() {
        return along * length();
    }

    /** How many times the force of the far end it takes. */
    public double times() {
        return 1 / along;
    }

    /** What it takes there, as the weight of so many kilograms. */
    public double needed() {
        return atTheEnd * times();
    }

    /** The turn that is held, newton metres; the same wherever it is held. */
    public double torque() {
        return needed() * Measures.GRAVITY * distance();
    }
}
