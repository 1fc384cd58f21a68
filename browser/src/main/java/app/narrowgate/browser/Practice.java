package app.narrowgate.browser;

import app.narrowgate.core.drill.CallOrder;
import app.narrowgate.core.drill.HouseTimes;
import app.narrowgate.core.drill.LookAlikes;
import app.narrowgate.core.drill.PracticeGraph;
import app.narrowgate.core.drill.ReadingDeck;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/**
 * What one learns to read: cues, what is easily taken for one another, and calls that cannot be guessed. A program of its
 * own, so that what is asked under the finger does not wait for it to come.
 */
public final class Practice {

    private static final OneMap MAP = new OneMap();

    private Practice() {
    }

    /**
     * Takes the map in the place of the one before.
     *
     * @param file a map in the open format
     */
    @JSExport
    public static JSObject load(JSObject file) {
        return MAP.load(file);
    }

    /**
     * Cues to be read, for somebody of whom nothing is known.
     *
     * @param cards how many at most, in {@link ReadingDeck#CARDS}
     * @param seed the same gives the same cues
     */
    @JSExport
    public static JSObject deck(JSObject setting, int cards, int seed) {
        return Answer.of(() -> DeckPacked.of(ReadingDeck.of(practised(setting), cards, seed)));
    }

    /** What is easily taken for one another, the dearest first. */
    @JSExport
    public static JSObject lookAlikes(JSObject setting) {
        return Answer.of(() -> LookAlikesPacked.of(LookAlikes.of(practised(setting))));
    }

    /**
     * An order of calls that cannot be guessed; no map need be there.
     *
     * @param calls how many there are, numbered from 0
     * @param repetitions how often each comes
     */
    @JSExport
    public static JSObject calls(int calls, int repetitions, int seed) {
        return Answer.of(() -> CallsPacked.of(CallOrder.of(calls, repetitions, seed)));
    }

    private static PracticeGraph practised(JSObject setting) {
        return PracticeGraph.of(MAP.solved(setting).converged(), HouseTimes.USUAL);
    }
}
