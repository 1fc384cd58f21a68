package app.narrowgate.server.mat;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * A class as it runs, in words, as every screen is sent it. People stand in it by their first names, and nothing that hurts anybody does.
 */
@Schema(name = "Mat")
record MatView(UUID lesson, String title, String gym, int version, @Schema(description = "The server's clock when this was sent") Instant now,
        @Schema(allowableValues = {"ready", "running", "stopped", "over"}) String state, @Schema(description = "The number of the step in which it is") int step,
        @Schema(description = "Milliseconds left of the step, below zero where it waits") long left,
        @Schema(description = "Milliseconds that the step has been running") long ran, @Nullable LookView look, List<MatPartView> parts,
        @Schema(description = "How many are here") int here, @Nullable @Schema(description = "When it was begun") Instant begun,
        @Schema(description = "Minutes that the class should last") int minutes) {

    /** What changes from press to press; the rest stays as it was sent. */
    @Schema(name = "MatStand")
    record StandView(int version, Instant now, String state, int step, long left, long ran, @Nullable LookView look, int here, @Nullable Instant begun) {
    }

    StandView stand() {
        return new StandView(version, now, state, step, left, ran, look, here, begun);
    }

    /** What all look at. */
    @Schema(name = "MatLook")
    record LookView(@Nullable String place, @Nullable String placeTitle, @Nullable String sign, @Nullable String fix) {
    }

    /** A part of the class. */
    @Schema(name = "MatPart")
    record MatPartView(String unit,
            @Nullable @Schema(description = "Missing for a break", allowableValues = {"warm-up", "recall", "new", "chain", "called", "live", "talk"})
            String section, @Nullable @Schema(description = "The kind of drill; missing where nothing is practised") String drill, String title,
            @Nullable String place, @Nullable String placeTitle, Map<String, String> held,
            @Nullable String other, @Nullable String otherTitle, Map<String, String> heldOther, List<AnswerView> answers,
            @Schema(description = "What whoever feeds does") @Nullable String feeder, @Nullable @Schema(description = "When to stop") String stop,
            List<String> cautions, List<MistakeView> mistakes, List<MatStepView> steps,
            @Schema(description = "Groups by first names; one list for each change of partners") List<List<List<String>>> bouts, boolean inserted) {
    }

    /** Something that is called, with its answer. */
    @Schema(name = "MatAnswer")
    record AnswerView(String call, String from, String answer, @Nullable String lands) {
    }

    /** A mistake that is made in what is practised. */
    @Schema(name = "MatMistake")
    record MistakeView(String technique, int mistake, String title, String sign, String fix) {
    }

    /** What the room does for a while. */
    @Schema(name = "MatStep")
    record MatStepView(int number, @Schema(allowableValues = {"move", "show", "change", "round", "talk", "break"}) String kind, int seconds,
            @Nullable @Schema(allowableValues = {"left", "right"}) String side, @Nullable @Schema(allowableValues = {"first", "second"}) String bottom,
            @Nullable String movement, int bout, List<CallView> calls,
            @Schema(description = "Notches of the dial, equally long; 0 where nothing is dialled") int notches,
            @Schema(description = "Who does what in every group of three, by first names") List<ThreeView> threes) {
    }

    /** A group of three in a turn. */
    @Schema(name = "MatThree")
    record ThreeView(String bottom, String top, String rests) {
    }

    /** A call by the clock. */
    @Schema(name = "MatCall")
    record CallView(@Schema(description = "Seconds after the beginning of the step") int at, @Schema(description = "The number of the part's answer") int answer) {
    }
}
