package app.narrowgate.server.picture;

import app.narrowgate.core.picture.Picture;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.util.List;

/** Two bodies to be painted. */
@Schema(name = "Drawing", description = "Two bodies as plain paths: SVG, a stature is 1000 long, what covers comes last")
public record DrawingView(int width, int height,
        @Schema(description = "A mark under what lies near the mat: lines to be drawn 90 wide with round ends") String ground,
        List<PieceView> pieces) {

    /** What a picture shows. */
    public static DrawingView of(Picture picture) {
        return new DrawingView(picture.width(), picture.height(), picture.ground(), picture.pieces().stream().map(PieceView::of).toList());
    }

    /** A piece of a body. */
    @Schema(name = "PicturePiece")
    public record PieceView(@Schema(allowableValues = {"you", "they"}) String who, String name,
            @Schema(allowableValues = {"head", "trunk", "hips", "left-arm", "right-arm", "left-leg", "right-leg"}) String part,
            @Schema(description = "The whole outline, closed") String fill,
            @Schema(description = "Where a line parts it from what it covers; missing where none does") @Nullable String line,
            @Schema(description = "Where a line is due only if its neighbour has another colour; missing where none is")
            @Nullable String seam,
            @Schema(description = "A head's cap of hair; missing where none is seen") @Nullable String hair,
            @Schema(description = "How much of it is seen, from 0 to 1") double seen) {
        static PieceView of(Picture.Painted piece) {
            return new PieceView(piece.player().code(), piece.name(), piece.part().code(), piece.fill(), orMissing(piece.line()),
                    orMissing(piece.seam()), orMissing(piece.hair()), piece.seen());
        }

        private static String orMissing(String path) {
            return path.isEmpty() ? null : path;
        }
    }
}
