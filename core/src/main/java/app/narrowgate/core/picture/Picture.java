package app.narrowgate.core.picture;

import app.narrowgate.core.body.Player;
import java.util.List;

/**
 * A posture as plain paths, ready to be painted one after the other. Paths are those of SVG with whole numbers; a stature
 * is {@value #STATURE} long. Colours and thickness are those of whoever paints.
 *
 * @param width how wide the picture is; its left edge is 0
 * @param height how high it is; its upper edge is 0, y runs downwards
 * @param ground what lies near the mat, a mark under the bodies: lines to be drawn {@value #MARK} wide with round ends
 * @param pieces what covers first comes last
 */
public record Picture(int width, int height, String ground, List<Painted> pieces) {

    /** How long a stature is in the picture. */
    public static final int STATURE = 1000;

    /** How wide the mark under what lies near the mat is. */
    public static final int MARK = 90;

    /** Keeps the order. */
    public Picture {
        pieces = List.copyOf(pieces);
    }

    /**
     * A piece of a body.
     *
     * @param name what it is, such as {@code forearm-left}; {@code nose} and {@code thumb} may be left out where the
     *     picture is small
     * @param part what of the body it belongs to; one part is painted in one colour
     * @param fill its whole outline, closed
     * @param line where a line and a gap in the colour of the ground part it from what it covers; may be empty
     * @param seam of the bottom player, where it hangs together with a piece of another part, so that a line is due only if
     *     the two have different colours; may be empty
     * @param hair the cap of hair of a head, closed; empty for everything else and where none is seen
     * @param seen how much of it is seen, as a share of what would be seen of it alone, to a hundredth
     */
    public record Painted(Player player, String name, BodyPart part, String fill, String line, String seam, String hair,
            double seen) {
    }

    /** How much of a part is seen, as a share of what would be seen of its pieces alone, 0 to 1. */
    public double seen(Player player, BodyPart part) {
        return pieces.stream().filter(p -> p.player() == player && p.part() == part && !p.name().startsWith("thumb")
                && !p.name().equals("nose")).mapToDouble(Painted::seen).average().orElse(0);
    }
}
