package app.narrowgate.server.lever;

import static app.narrowgate.server.lever.LeverQuestion.or;

import app.narrowgate.core.lever.ArmFrame;
import app.narrowgate.core.lever.HipDrive;
import app.narrowgate.core.lever.RodHold;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.stream.DoubleStream;

/** What the levers say. */
@Schema(name = "Levers")
record LeverView(HoldView arm, HoldView shin, FrameView frame, HipView hip) {

    private static final double CENTIMETRE = .01;
    private static final double STATURE = 178;
    /** Places that instructors name: near the joint, half way, the far end. */
    private static final double[] NAMED = {.2, .5, 1};

    @Schema(name = "LeverHold", description = "A limb of theirs held somewhere along it, so that it does not turn")
    record HoldView(@Schema(description = "How long the limb is, centimetres") double length,
            @Schema(description = "How far from the joint it is held, centimetres") double distance,
            @Schema(description = "What it takes there, kilograms") double needed,
            @Schema(description = "How many times what it takes at the far end") double times,
            @Schema(description = "The turn that is held, newton metres") double torque,
            @Schema(description = "The same near the joint, half way and at the far end") List<SpotView> spots) {
        static HoldView of(RodHold hold) {
            return new HoldView(hold.length() / CENTIMETRE, hold.distance() / CENTIMETRE, hold.needed(), hold.times(), hold.torque(),
                    DoubleStream.of(NAMED).mapToObj(along -> new SpotView(along,
                            new RodHold(hold.limb(), hold.stature(), hold.atTheEnd(), along).needed())).toList());
        }
    }

    @Schema(name = "LeverSpot")
    record SpotView(double along, double needed) {
    }

    @Schema(name = "LeverFrame", description = "Your arm as a strut")
    record FrameView(@Schema(description = "What the shoulder has to hold, newton metres") double shoulder,
            @Schema(description = "What the elbow has to hold, newton metres") double elbow,
            @Schema(description = "The angle at which a straight arm lies in the line of the push, degrees") double inLine,
            @Schema(description = "True where the upper arm is past the right angle") boolean past,
            @Schema(description = "Shoulder, elbow, wrist, and where the push meets the forearm") List<PointView> drawn) {
        static FrameView of(ArmFrame frame) {
            return new FrameView(frame.atTheShoulder(), frame.atTheElbow(), frame.inLine(), frame.isPastTheRightAngle(),
                    frame.drawn().stream().map(point -> new PointView(point.head() / CENTIMETRE, point.up() / CENTIMETRE)).toList());
        }
    }

    @Schema(name = "LeverPoint", description = "Centimetres towards your head and up from your shoulder")
    record PointView(double head, double up) {
    }

    @Schema(name = "LeverHip", description = "Your shoulder driven into their hip")
    record HipView(@Schema(description = "By how much it turns their trunk about the hips, newton metres") double torque,
            @Schema(allowableValues = {"none", "down-on-you", "bent-back"}) String turn) {
        static HipView of(HipDrive drive) {
            return new HipView(drive.torque(), drive.turn().code());
        }
    }

    static LeverView of(LeverQuestion asked) {
        double theirs = or(asked.theirStature(), STATURE) * CENTIMETRE;
        double yours = or(asked.yourStature(), STATURE) * CENTIMETRE;
        return new LeverView(
                HoldView.of(new RodHold(RodHold.Limb.FOREARM, theirs, or(asked.pull(), 15), or(asked.held(), .5))),
                HoldView.of(new RodHold(RodHold.Limb.SHANK, theirs, or(asked.press(), 15), or(asked.pressed(), .5))),
                FrameView.of(new ArmFrame(yours, or(asked.push(), 40), or(asked.arm(), 75), or(asked.elbow(), 110),
                        or(asked.lean(), 15), or(asked.meets(), .5))),
                HipView.of(new HipDrive(or(asked.drive(), 40), or(asked.above(), 0) * CENTIMETRE)));
    }
}
