package app.narrowgate.exchange.picture;

import static org.assertj.core.api.Assertions.assertThat;

import app.narrowgate.core.body.View;
import app.narrowgate.core.fixture.BodyFixture;
import app.narrowgate.core.picture.BodyPart;
import app.narrowgate.core.picture.Drawing;
import app.narrowgate.core.picture.Picture;
import java.io.StringReader;
import java.util.Set;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

/** An SVG that any reader of XML takes. */
class PictureSvgTest {

    private static final Picture PICTURE = Drawing.of(BodyFixture.standing(), new View(100, 20));

    private static Document read(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @Test
    void isWellFormedAndAsWideAsAskedFor() throws Exception {
        Document svg = read(PictureSvg.of(PICTURE, Set.of(), PictureSvg.Colours.LIGHT, 220));
        assertThat(svg.getDocumentElement().getAttribute("width")).isEqualTo("220");
        assertThat(svg.getDocumentElement().getAttribute("viewBox")).isEqualTo("0 0 %d %d".formatted(PICTURE.width(), PICTURE.height()));
        assertThat(svg.getElementsByTagName("path").getLength()).isGreaterThan(2 * PICTURE.pieces().size());
    }

    @Test
    void whatIsHeldHasItsColour() {
        assertThat(PictureSvg.of(PICTURE, Set.of(), PictureSvg.Colours.DARK, 220)).doesNotContain(PictureSvg.Colours.DARK.held());
        assertThat(PictureSvg.of(PICTURE, Set.of(BodyPart.TRUNK), PictureSvg.Colours.DARK, 220)).contains(PictureSvg.Colours.DARK.held());
    }
}
