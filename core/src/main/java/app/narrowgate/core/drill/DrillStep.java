package app.narrowgate.core.drill;

import app.narrowgate.core.check.Coded;
import app.narrowgate.core.map.LinkRef;
import java.util.Optional;

/**
 * One step of a pair through a drill.
 *
 * @param link what is practised; only with {@link Kind#LINK}
 * @param fake which of the drill's fakes it is; only with {@link Kind#FAKE}
 * @param seconds at least 0
 */
public record DrillStep(Kind kind, Optional<LinkRef> link, Optional<Integer> fake, Place from, Place to, double seconds) {

    /** What happens in a step. */
    public enum Kind implements Coded {
        /** A link is practised; where it lands is where the next one starts, if that is a link too. */
        LINK,
        /** The top player begins something and takes it back; whoever answers has guessed. */
        FAKE,
        /** From a place of rest the top player begins something that is natural there. */
        FEED,
        /** The one who came on top is the top player from here. */
        SWAP,
        /** Both go back to a starting place. */
        RESET
    }

    static DrillStep practising(PracticeLink link, Role bottom) {
        return new DrillStep(Kind.LINK, Optional.of(link.ref()), Optional.empty(), new Place(link.start(), bottom),
                new Place(link.landing(), bottom), link.seconds());
    }

    /** A step in which nothing is practised. */
    static DrillStep between(Kind kind, Place from, Place to, double seconds) {
        return new DrillStep(kind, Optional.empty(), Optional.empty(), from, to, seconds);
    }

    static DrillStep faking(int fake, Place at, double seconds) {
        return new DrillStep(Kind.FAKE, Optional.empty(), Optional.of(fake), at, at, seconds);
    }

    /** The same with the partners' parts exchanged. */
    DrillStep swapped() {
        return new DrillStep(kind, link, fake, new Place(from.at(), from.bottom().other()), new Place(to.at(), to.bottom().other()),
                seconds);
    }

    /** True for what is practised, false for what is lost on the way. */
    public boolean isWork() {
        return kind == Kind.LINK;
    }
}
