package app.narrowgate.server.record;

import app.narrowgate.core.map.Id;
import app.narrowgate.core.record.Brier;
import app.narrowgate.core.record.Truth;
import app.narrowgate.server.map.StoredMap;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;

/** Whether the map tells the truth. */
@Schema(name = "Truth")
record TruthView(int revision, @Nullable @Schema(description = "When the first round was; missing where there is none") Instant since,
        @Schema(description = "Rounds in all of the places, that ended out or with a tap") int rounds,
        @Schema(description = "Places with enough rounds, furthest off first; those where map and mat agree behind the others") List<PlaceView> places,
        @Schema(description = "How many places have rounds, but too few") int fewer,
        @Schema(description = "Rounds of a place, below which there is too little to say") int enough,
        @Nullable @Schema(description = "Missing where no place has enough") BrierView brier) {

    /** Places that move, as many as are told. */
    private static final int MOVES = 5;

    /** One place. */
    @Schema(name = "TruthPlace")
    record PlaceView(String place, @Schema(description = "How many get out by the map, in [0,1]") double said, int rounds, int out,
            @Schema(description = "Of the exact interval of the share that gets out, nine times in ten") double low, double high, boolean agrees,
            @Schema(description = "What most of the rounds have in common") List<OnesidedView> onesided,
            @Nullable @Schema(description = "The answer that explains the difference best; missing where none does") ExplanationView explains) {
    }

    /** Most rounds are of one sort. */
    @Schema(name = "TruthOnesided")
    record OnesidedView(@Schema(allowableValues = {"beginners", "lighter", "heavier", "one-person"}) String sort, int many) {
    }

    /** An answer that works otherwise than the map says. */
    @Schema(name = "TruthExplanation")
    record ExplanationView(String reaction, @Schema(description = "How often it gets going by the map, in [0,1]") double before,
            @Schema(description = "As learned") double learned, double low, double high,
            @Schema(description = "True where that says too little") boolean tooLittle,
            @Schema(description = "How often it was tried, the old tries counting less") double tries,
            @Schema(description = "How many of these were noted; the others are reckoned") double noted,
            @Schema(description = "How many get out by the map with the learned figure") double saidThen,
            @Schema(description = "The mean squared error with it") double scoreThen,
            @Nullable @Schema(description = "The answer that would be best there with it; missing where it still is itself") String instead,
            @Schema(description = "How many places would have other odds") int moved,
            @Schema(description = "Those whose odds would move most") List<MoveView> moves,
            @Nullable @Schema(description = "Missing where nobody decided to keep what the map says") KeptView kept) {
    }

    /** The odds of a place before and after. */
    @Schema(name = "TruthMove")
    record MoveView(String place, double before, double then) {
    }

    /** A coach keeps what the map says. */
    @Schema(name = "TruthKept")
    record KeptView(@Schema(description = "The event that says so, by which it is taken back") UUID id, Instant at,
            @Nullable @Schema(description = "Missing where they are forgotten") String author) {
    }

    /** How far off the map is, and why. */
    @Schema(name = "Brier")
    record BrierView(@Schema(description = "Mean squared error") double score, @Schema(description = "Added: its numbers are off") double reliability,
            @Schema(description = "Taken off: it tells good places from bad") double resolution,
            @Schema(description = "What nobody could know") double uncertainty, @Schema(description = "The share that gets out in all") double mean) {
        static BrierView of(Brier brier, double mean) {
            return new BrierView(brier.score(), brier.reliability(), brier.resolution(), brier.uncertainty(), mean);
        }
    }

    static TruthView of(StoredMap map, Truth truth, Instant since, Map<Id, KeptView> kept) {
        int rounds = truth.places().stream().mapToInt(Truth.AtPlace::rounds).sum();
        int out = truth.places().stream().mapToInt(Truth.AtPlace::out).sum();
        return new TruthView(map.revision(), since, rounds, truth.places().stream().map(one -> place(one, kept)).toList(), truth.fewer(), Truth.ENOUGH,
                truth.brier().map(brier -> BrierView.of(brier, out / (double) rounds)).orElse(null));
    }

    private static PlaceView place(Truth.AtPlace one, Map<Id, KeptView> kept) {
        return new PlaceView(one.place().value(), one.said(), one.rounds(), one.out(), one.seen().low(), one.seen().high(), one.agrees(),
                one.onesided().stream().map(side -> new OnesidedView(side.sort().name().toLowerCase(Locale.ROOT).replace('_', '-'), side.many())).toList(),
                one.explains().map(explains -> explanation(explains, kept.get(explains.reaction()))).orElse(null));
    }

    private static ExplanationView explanation(Truth.Explanation one, KeptView kept) {
        return new ExplanationView(one.reaction().value(), one.before(), one.learned().likely(), one.learned().low(), one.learned().high(),
                one.learned().saysTooLittle(), one.tries(), one.noted(), one.saidThen(), one.scoreThen(), one.instead().map(Id::value).orElse(null),
                one.moves().size(), one.moves().stream().limit(MOVES).map(move -> new MoveView(move.place().value(), move.before(), move.then())).toList(), kept);
    }
}
