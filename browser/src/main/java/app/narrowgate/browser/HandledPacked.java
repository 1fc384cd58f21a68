package app.narrowgate.browser;

import app.narrowgate.core.body.Soundness;
import app.narrowgate.core.picture.Handled;
import app.narrowgate.core.picture.Picture;
import java.util.Set;

/** A posture under a hand, packed: its picture, what can be taken hold of, what bodies do not do, and what was let go. */
final class HandledPacked {

    private HandledPacked() {
    }

    static Packed of(Handled handled, Set<String> let) {
        Packed packed = new Packed();
        Picture picture = handled.picture();
        packed.mark(picture.width()).mark(picture.height()).text(picture.ground()).mark(picture.pieces().size());
        for (Picture.Painted piece : picture.pieces()) {
            packed.mark(piece.player().ordinal()).text(piece.name()).mark(piece.part().ordinal()).text(piece.fill()).text(piece.line())
                    .text(piece.seam()).text(piece.hair()).figure(piece.seen());
        }
        packed.mark(handled.middle().across()).mark(handled.middle().down()).mark(handled.handles().size());
        for (Handled.Handle handle : handled.handles()) {
            packed.text(handle.joint()).mark(handle.across()).mark(handle.down());
        }
        Soundness sound = handled.sound();
        packed.figure(sound.overlap() * Handled.CENTIMETRES).text(sound.overlapping().orElse("")).figure(sound.degrees())
                .text(sound.excesses().isEmpty() ? "" : sound.excesses().get(0).joint().toString());
        packed.mark(let.size());
        let.forEach(packed::text);
        return packed;
    }
}
