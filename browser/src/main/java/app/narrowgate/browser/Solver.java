package app.narrowgate.browser;

import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Overview;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.round.Passing;
import app.narrowgate.exchange.parts.PartPut;
import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/** What is asked of one map under the finger: its odds, and where one is. */
public final class Solver {

    private static final OneMap MAP = new OneMap();

    private Solver() {
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

    /** What each situation is worth under a setting. */
    @JSExport
    public static JSObject overview(JSObject setting) {
        return Answer.of(() -> OverviewPacked.of(Overview.of(MAP.solved(setting))));
    }

    /** Every situation's odds under a setting. */
    @JSExport
    public static JSObject odds(JSObject setting) {
        return Answer.of(() -> OddsPacked.of(OddsSolver.of(MAP.solved(setting))));
    }

    /**
     * What each situation would be worth if parts were added or changed.
     *
     * @param parts a list of {@code {list, id, part}}, each part with its own id
     */
    @JSExport
    public static JSObject preview(JSObject parts, JSObject setting) {
        return Answer.of(() -> {
            List<PartPut> puts = new ArrayList<>();
            new JsValue(parts).items().forEach(put -> puts.add(new PartPut(PartKind.ofList(put.get("list").text()),
                    Id.of(put.get("id").text()), put.get("part"))));
            MapIndex changed = MAP.with(puts);
            return OverviewPacked.of(Overview.of(SolvedMap.of(changed, SettingReading.read(new JsValue(setting)).on(changed))));
        });
    }

    /**
     * Where one is, judged from what is held.
     *
     * @param marks {@code {where, held, free, so, notSo}}, codes and ids as the server's query has them
     */
    @JSExport
    public static JSObject held(JSObject marks, JSObject setting) {
        return Answer.of(() -> LikelyPacked.of(LikelySituations.of(MAP.map(), MarksReading.read(new JsValue(marks)), Passing.of(MAP.solved(setting)))));
    }
}
