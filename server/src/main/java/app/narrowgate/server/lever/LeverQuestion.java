package app.narrowgate.server.lever;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.annotation.Nullable;

/** What is asked of the levers; whatever is missing takes its usual value. */
record LeverQuestion(
        @Parameter(description = "Their stature in centimetres; 178 when missing") @Nullable Double theirStature,
        @Parameter(description = "Your stature in centimetres; 178 when missing") @Nullable Double yourStature,
        @Parameter(description = "What it takes to stop the arm at the wrist, kilograms; 15 when missing") @Nullable Double pull,
        @Parameter(description = "Where the arm is held, from the elbow 0 to the wrist 1; a half when missing") @Nullable Double held,
        @Parameter(description = "What it takes to press the shin down at the ankle, kilograms; 15 when missing") @Nullable Double press,
        @Parameter(description = "Where the shin is pressed, from the knee 0 to the ankle 1; a half when missing") @Nullable Double pressed,
        @Parameter(description = "How hard they push on your frame, kilograms; 40 when missing") @Nullable Double push,
        @Parameter(description = "Degrees between your upper arm and the trunk below it; 75 when missing") @Nullable Double arm,
        @Parameter(description = "Degrees inside your elbow, 180 straight; 110 when missing") @Nullable Double elbow,
        @Parameter(description = "Degrees by which the push leans to your head; 15 when missing") @Nullable Double lean,
        @Parameter(description = "Where the push meets your forearm, from the elbow 0 to the wrist 1; a half when missing")
        @Nullable Double meets,
        @Parameter(description = "How hard you drive into their hip, kilograms; 40 when missing") @Nullable Double drive,
        @Parameter(description = "How far above their hip bone your shoulder is, centimetres; 0 when missing") @Nullable Double above) {

    static double or(Double given, double usual) {
        return given == null ? usual : given;
    }
}
