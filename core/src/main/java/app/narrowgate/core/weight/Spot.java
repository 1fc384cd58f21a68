package app.narrowgate.core.weight;

import app.narrowgate.core.body.Limb;
import app.narrowgate.core.check.Coded;

/** Where on you something rests. */
public enum Spot implements Coded {
    HEAD, NECK, RIBS, BELLY, HIPS, ARM, LEG;

    /** From how far down the chest on it is the belly. */
    private static final double BELOW_THE_RIBS = .6;

    /** The spot on a limb, so far along it. */
    static Spot of(Limb limb, double along) {
        return switch (limb) {
            case HEAD -> HEAD;
            case NECK -> NECK;
            case CHEST_LEFT, CHEST_RIGHT -> along > BELOW_THE_RIBS ? BELLY : RIBS;
            case PELVIS_LEFT, PELVIS_RIGHT -> HIPS;
            case UPPER_ARM_LEFT, UPPER_ARM_RIGHT, FOREARM_LEFT, FOREARM_RIGHT, HAND_LEFT, HAND_RIGHT -> ARM;
            case THIGH_LEFT, THIGH_RIGHT, SHANK_LEFT, SHANK_RIGHT, FOOT_LEFT, FOOT_RIGHT -> LEG;
        };
    }
}
