package app.narrowgate.browser;

import app.narrowgate.core.body.JointOf;
import app.narrowgate.core.body.Nudge;
import app.narrowgate.core.body.View;
import app.narrowgate.core.check.Problems;
import app.narrowgate.core.check.ProblemsException;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.picture.Handled;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.posture.PostureReader;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/**
 * Two bodies while a hand moves a joint of them. A program of its own: whoever only reads a map never fetches it. What is
 * let go is solved on the server, which stores it.
 */
public final class Hand {

    private Hand() {
    }

    /**
     * The posture with a joint taken elsewhere, drawn.
     *
     * @param file a posture in the open format, told whole, with the view from which it is seen
     * @param joint what is moved, such as {@code they.hand-left}
     * @param right how far to the right in the picture, in stature
     * @param up how far up in the picture
     * @param towards how far towards who looks
     */
    @JSExport
    public static JSObject moved(JSObject file, String joint, double right, double up, double towards) {
        return Answer.of(() -> {
            Problems problems = new Problems();
            Posture posture = PostureReader.read(new Fields(new JsValue(file), "", problems));
            if (!problems.isEmpty()) {
                throw new ProblemsException(problems.list());
            }
            View view = posture.view().orElse(Posture.USUAL_VIEW);
            Nudge nudge = Nudge.underTheHand(((Posture.Whole) posture.shape()).bodies(), JointOf.of("What is moved", joint),
                    view.way(right, up, towards));
            return HandledPacked.of(Handled.roughly(nudge.bodies(), view), nudge.let());
        });
    }
}
