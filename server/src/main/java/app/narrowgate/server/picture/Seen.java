package app.narrowgate.server.picture;

import app.narrowgate.core.body.View;
import app.narrowgate.core.check.Coded;
import jakarta.annotation.Nullable;

/** From where two bodies are seen, told from where their posture usually is. */
public enum Seen implements Coded {
    /** As the posture says. */
    STANDING,
    /** From straight above. */
    ABOVE,
    /** From the other side. */
    OTHER;

    /**
     * What was asked for; as the posture says where nothing was.
     *
     * @throws app.narrowgate.core.check.RefusedException naming what there is instead
     */
    public static Seen of(@Nullable String code) {
        return code == null ? STANDING : Coded.require(Seen.class, "From where it is seen", code);
    }

    /** The view that this is, given the usual one. */
    public View from(View usual) {
        return switch (this) {
            case STANDING -> usual;
            case ABOVE -> usual.fromAbove();
            case OTHER -> usual.fromTheOtherSide();
        };
    }
}
