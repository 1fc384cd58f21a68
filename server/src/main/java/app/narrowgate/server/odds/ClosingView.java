package app.narrowgate.server.odds;

import app.narrowgate.core.odds.Closing;
import io.swagger.v3.oas.annotations.media.Schema;

/** Why a reaction is closed. */
@Schema(name = "Closing")
public record ClosingView(
        @Schema(allowableValues = {"fact", "stance", "injury", "children", "rule", "aim", "do-not"}) String kind,
        @Schema(description = "The fact, stance, injury, rule or aim that closes it; a mistake’s own id") String what) {

    /** As it is sent. */
    public static ClosingView of(Closing closing) {
        return new ClosingView(closing.kind().code(), closing.what());
    }
}
