package app.narrowgate.core.body;

import app.narrowgate.core.check.Coded;

/**
 * The points of one body that a posture places. A hand is where its knuckles are when it is closed, a toe the tip of the
 * foot, and head the middle of the skull.
 */
public enum Joint implements Coded {
    HEAD(.057), NOSE(.010), NECK(.034), WAIST(.052), HIP(.056),
    SHOULDER_LEFT(.041), SHOULDER_RIGHT(.041), ELBOW_LEFT(.030), ELBOW_RIGHT(.030), WRIST_LEFT(.021), WRIST_RIGHT(.021),
    HAND_LEFT(.021), HAND_RIGHT(.021), HIP_LEFT(.056), HIP_RIGHT(.056), KNEE_LEFT(.040), KNEE_RIGHT(.040),
    ANKLE_LEFT(.026), ANKLE_RIGHT(.026), TOE_LEFT(.017), TOE_RIGHT(.017);

    /** How many joints a body has. */
    static final int COUNT = values().length;

    private final double radius;

    Joint(double radius) {
        this.radius = radius;
    }

    /** Half the thickness of the body there, in stature. */
    public double radius() {
        return radius;
    }

    /** The same joint of the other side; itself where there is only one. */
    public Joint mirrored() {
        if (name().endsWith("_LEFT")) {
            return values()[ordinal() + 1];
        }
        return name().endsWith("_RIGHT") ? values()[ordinal() - 1] : this;
    }
}
