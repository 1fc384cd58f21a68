package app.narrowgate.exchange.picture;

import app.narrowgate.core.body.Player;
import app.narrowgate.core.picture.BodyPart;
import app.narrowgate.core.picture.Picture;
import java.util.Locale;
import java.util.Set;

/** A picture as an SVG that stands alone, for paper and for other programs. Flat colours, no script, no style sheet. */
public final class PictureSvg {

    /**
     * Colours as they are written in SVG.
     *
     * @param paper what the gaps are filled with
     */
    public record Colours(String paper, String ink, String shade, String you, String held, String they, String hairYou,
            String hairThey) {

        /** In a bright hall, and on paper. */
        public static final Colours LIGHT =
                new Colours("#E9EEEC", "#10201D", "#D3DCD8", "#FFFFFF", "#1F5E57", "#9FB3AD", "#10201D", "#10201D");
        /** In a dark room. */
        public static final Colours DARK =
                new Colours("#0E1715", "#0E1715", "#1B2724", "#E6EFEC", "#63B5A9", "#566B65", "#5E736D", "#A9BCB6");
    }

    private PictureSvg() {
    }

    /**
     * The picture so many pixels wide.
     *
     * @param held parts of the bottom player that are held
     * @param across how wide it is, in pixels
     */
    public static String of(Picture picture, Set<BodyPart> held, Colours colours, double across) {
        // A line stays a line at every size; the gap is what lets one limb pass before another.
        double unit = picture.width() / across;
        double ink = Math.max(1.3, across / 300) * unit;
        double gap = ink + 2 * 2 * (across / 260) * unit;
        StringBuilder svg = new StringBuilder(String.format(Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%.0f\" height=\"%.0f\" viewBox=\"0 0 %d %d\" fill=\"none\" stroke-linejoin=\"round\">",
                across, picture.height() / unit, picture.width(), picture.height()));
        svg.append("<path stroke=\"%s\" stroke-width=\"%d\" stroke-linecap=\"round\" d=\"%s\"/>"
                .formatted(colours.shade(), Picture.MARK, picture.ground()));
        for (Picture.Painted piece : picture.pieces()) {
            boolean you = piece.player() == Player.YOU;
            String fill = !you ? colours.they() : held.contains(piece.part()) ? colours.held() : colours.you();
            line(svg, piece.line(), colours.paper(), gap);
            svg.append("<path fill=\"%s\" d=\"%s\"/>".formatted(fill, piece.fill()));
            if (!piece.hair().isEmpty()) {
                svg.append("<path fill=\"%s\" d=\"%s\"/>".formatted(you ? colours.hairYou() : colours.hairThey(), piece.hair()));
            }
            line(svg, piece.line(), colours.ink(), ink);
        }
        return svg.append("</svg>").toString();
    }

    private static void line(StringBuilder svg, String path, String colour, double thick) {
        if (!path.isEmpty()) {
            svg.append(String.format(Locale.ROOT, "<path stroke=\"%s\" stroke-width=\"%.1f\" d=\"%s\"/>", colour, thick, path));
        }
    }
}
