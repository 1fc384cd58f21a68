package app.narrowgate.browser;

import app.narrowgate.core.held.LikelySituations;
import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.Id;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.PartKind;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.odds.OddsSolver;
import app.narrowgate.core.odds.Overview;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SettingRequest;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.core.round.Passing;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.parts.MapReading;
import app.narrowgate.exchange.parts.PartPut;
import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSExport;
import org.teavm.jso.JSObject;

/**
 * One map, and what is asked about it. A worker holds one at a time; a call about a map before one has come is a fault of
 * the caller's.
 */
public final class Solver {

    private static MapIndex map;
    /** The answer last asked for, of which a slider's next question takes over what its step does not change. */
    private static SolvedMap last;
    /** What of its setting is no matter of time. */
    private static String lastApart;

    private Solver() {
    }

    /**
     * Takes the map in the place of the one before.
     *
     * @param file a map in the open format
     */
    @JSExport
    public static JSObject load(JSObject file) {
        return Answer.of(() -> {
            EscapeMap read = MapReading.read(new JsValue(file), Solver::noPosture);
            map = MapIndex.of(read);
            last = null;
            return new Packed();
        });
    }

    private static Posture noPosture(Fields fields) {
        throw new IllegalStateException("Impossible state: no postures are handed over");
    }

    /** What each situation is worth under a setting. */
    @JSExport
    public static JSObject overview(JSObject setting) {
        return Answer.of(() -> OverviewPacked.of(Overview.of(solved(setting))));
    }

    /** Every situation's odds under a setting. */
    @JSExport
    public static JSObject odds(JSObject setting) {
        return Answer.of(() -> OddsPacked.of(OddsSolver.of(solved(setting))));
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
            EscapeMap changed = MapReading.putAll(map.map(), puts, Solver::noPosture);
            MapIndex index = MapIndex.of(changed);
            return OverviewPacked.of(Overview.of(SolvedMap.of(index, SettingReading.read(new JsValue(setting)).on(index))));
        });
    }

    /**
     * Where one is, judged from what is held.
     *
     * @param marks {@code {where, held, free, so, notSo}}, codes and ids as the server's query has them
     */
    @JSExport
    public static JSObject held(JSObject marks, JSObject setting) {
        return Answer.of(() -> LikelyPacked.of(LikelySituations.of(map.map(), MarksReading.read(new JsValue(marks)), Passing.of(solved(setting)))));
    }

    private static SolvedMap solved(JSObject setting) {
        SettingRequest request = SettingReading.read(new JsValue(setting));
        Setting wanted = request.on(map);
        String apart = Js.apartFromTime(setting);
        last = last != null && apart.equals(lastApart)
                ? last.retimed(wanted.read(), wanted.late(), wanted.thinking()) : SolvedMap.of(map, wanted);
        lastApart = apart;
        return last;
    }
}
