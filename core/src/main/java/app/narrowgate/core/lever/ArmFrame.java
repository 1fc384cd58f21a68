package app.narrowgate.core.lever;

import app.narrowgate.core.check.Range;
import java.util.List;

/**
 * An arm set as a strut against somebody who pushes down on it, seen from the side: you lie on your back, the upper arm
 * stands off your trunk by an angle, the elbow is bent, and the push meets the forearm somewhere. What shoulder and elbow
 * have to hold is the push times the distance by which its line misses them; nothing where the bones lie in its line.
 *
 * @param stature how tall you are, metres
 * @param push the push, as the weight of so many kilograms
 * @param arm degrees between the upper arm and the trunk below it: 0 along the ribs, 90 straight up, more towards the head
 * @param elbow degrees inside the elbow: 180 straight
 * @param towardsHead degrees by which the push leans from straight down towards your head; negative towards your feet
 * @param along where the push meets the forearm, from the elbow (0) to the wrist (1)
 */
public record ArmFrame(double stature, double push, double arm, double elbow, double towardsHead, double along) {

    private static final Range ARM = new Range(0, 170, "degrees");
    private static final Range ELBOW = new Range(30, 180, "degrees");
    private static final Range LEAN = new Range(-60, 60, "degrees");
    private static final Range WHOLE = new Range(0, 1, "");

    /** @throws RefusedException when a number lies outside */
    public ArmFrame {
        Measures.STATURE.require("Your stature", stature);
        Measures.FORCE.require("The push", push);
        ARM.require("The angle between upper arm and trunk", arm);
        ELBOW.require("The angle of the elbow", elbow);
        LEAN.require("How far the push leans to the head", towardsHead);
        WHOLE.require("Where the push meets the forearm", along);
    }

    /** A point beside the body: metres towards the head, and up from the shoulder, which is (0, 0). */
    public record Point(double head, double up) {
        private Point plus(double length, double degrees) {
            double angle = Math.toRadians(degrees);
            return new Point(head - length * StrictMath.cos(angle), up + length * StrictMath.sin(angle));
        }
    }

    /** Where the elbow is. */
    public Point elbowAt() {
        return new Point(0, 0).plus(Measures.UPPER_ARM * stature, arm);
    }

    /** Where so much of the forearm is; a bent elbow brings the hand towards the face. */
    private Point forearmAt(double share) {
        return elbowAt().plus(share * Measures.FOREARM * stature, arm + 180 - elbow);
    }

    /** Where the wrist is. */
    public Point wristAt() {
        return forearmAt(1);
    }

    /** Where the push meets the forearm. */
    public Point meets() {
        return forearmAt(along);
    }

    /** What the shoulder has to hold, newton metres, from 0. */
    public double atTheShoulder() {
        return torque(new Point(0, 0));
    }

    /** What the elbow has to hold, newton metres, from 0. */
    public double atTheElbow() {
        return torque(elbowAt());
    }

    private double torque(Point joint) {
        double lean = Math.toRadians(towardsHead);
        double head = meets().head() - joint.head();
        double up = meets().up() - joint.up();
        // The push points down and by its lean towards the head.
        return Math.abs(head * -StrictMath.cos(lean) - up * StrictMath.sin(lean)) * push * Measures.GRAVITY;
    }

    /** The angle of the upper arm at which a straight arm lies in the line of the push, degrees. */
    public double inLine() {
        return 90 - towardsHead;
    }

    /** True past the right angle, where a shoulder has little strength. Common practice, no source. */
    public boolean isPastTheRightAngle() {
        return arm > 90;
    }

    /** Shoulder, elbow, wrist and where the push meets the forearm, for a picture. */
    public List<Point> drawn() {
        return List.of(new Point(0, 0), elbowAt(), wristAt(), meets());
    }
}
