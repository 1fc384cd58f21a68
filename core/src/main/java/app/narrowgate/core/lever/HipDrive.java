package app.narrowgate.core.lever;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.check.Range;

/**
 * A shoulder that drives level into somebody's hip, above it or below it. On the hip bone the whole push moves the hips;
 * a hand's breadth off it the push also turns the trunk about them: from below it tips the trunk down over you, from above
 * it only bends the trunk back.
 *
 * @param push the push, as the weight of so many kilograms
 * @param above how far above the hip bone the shoulder is, metres; negative below it
 */
public record HipDrive(double push, double above) {

    private static final Range OFF = new Range(-.4, .4, "m");
    /** As near to the hip bone as a shoulder can tell, metres. */
    private static final double ON_IT = .03;

    /** What becomes of the push. */
    public enum Turn implements Coded {
        /** All of it moves the hips. */
        NONE,
        /** The trunk is tipped down over you. */
        DOWN_ON_YOU,
        /** The trunk is bent back and the hips stay. */
        BENT_BACK
    }

    /** @throws RefusedException when a number lies outside */
    public HipDrive {
        Measures.FORCE.require("The push", push);
        OFF.require("How far above the hip bone the shoulder is", above);
    }

    /** By how much the push turns the trunk about the hips, newton metres, from 0. */
    public double torque() {
        return Math.abs(above) * push * Measures.GRAVITY;
    }

    /** What becomes of the push. */
    public Turn turn() {
        if (Math.abs(above) <= ON_IT) {
            return Turn.NONE;
        }
        return above < 0 ? Turn.DOWN_ON_YOU : Turn.BENT_BACK;
    }
}
