package app.narrowgate.core.picture;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Posture;
import app.narrowgate.exchange.map.MapFolder;
import app.narrowgate.exchange.picture.PictureSvg;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;

/** All pictures of a map on one page, to be looked at: what is it, without the title? */
public final class ContactSheet {

    private ContactSheet() {
    }

    /**
     * Writes the page.
     *
     * @param args the map's folder, the page to write, how wide a stature is in pixels, and {@code light} or {@code dark}
     */
    public static void main(String[] args) throws IOException {
        EscapeMap map = MapFolder.read(Path.of(args[0]));
        double stature = Double.parseDouble(args[2]);
        PictureSvg.Colours colours = args[3].equals("dark") ? PictureSvg.Colours.DARK : PictureSvg.Colours.LIGHT;
        Postures postures = Postures.of(map);
        StringBuilder page = new StringBuilder(("<!doctype html><meta charset=\"utf-8\"><body style=\"margin:8px;background:%s;color:%s;"
                + "font:11px Archivo,sans-serif;display:flex;flex-wrap:wrap;align-items:end;gap:10px 14px\">")
                .formatted(colours.paper(), colours.you().equals("#FFFFFF") ? colours.ink() : colours.you()));
        for (Posture posture : map.postures()) {
            Postures.Worked worked = postures.get(posture.id());
            Picture picture = Drawing.of(worked.bodies(), worked.view());
            double width = picture.width() * stature / Picture.STATURE;
            page.append("<figure style=\"margin:0;width:min-content;min-width:120px\">").append(PictureSvg.of(picture, Set.of(), colours, width))
                    .append("<figcaption>").append(posture.title()).append("</figcaption></figure>");
        }
        Files.writeString(Path.of(args[1]), page);
    }
}
