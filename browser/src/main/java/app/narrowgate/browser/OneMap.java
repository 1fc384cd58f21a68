package app.narrowgate.browser;

import app.narrowgate.core.map.EscapeMap;
import app.narrowgate.core.map.MapIndex;
import app.narrowgate.core.map.Posture;
import app.narrowgate.core.odds.Setting;
import app.narrowgate.core.odds.SettingRequest;
import app.narrowgate.core.odds.SolvedMap;
import app.narrowgate.exchange.fields.Fields;
import app.narrowgate.exchange.parts.MapReading;
import app.narrowgate.exchange.parts.PartPut;
import java.util.List;
import org.teavm.jso.JSObject;

/** The map that a worker holds, one at a time; a question about it before one has come is a fault of the caller's. */
final class OneMap {

    private MapIndex index;
    /** The answer last asked for, of which a slider's next question takes over what its step does not change. */
    private SolvedMap last;
    /** What of its setting is no matter of time. */
    private String lastApart;

    /**
     * Takes the map in the place of the one before.
     *
     * @param file a map in the open format, without holds and postures
     */
    JSObject load(JSObject file) {
        return Answer.of(() -> {
            index = MapIndex.of(MapReading.read(new JsValue(file), OneMap::noPosture));
            last = null;
            return new Packed();
        });
    }

    EscapeMap map() {
        return index.map();
    }

    /** The map with parts put into it; the one that is held stays as it is. */
    MapIndex with(List<PartPut> puts) {
        return MapIndex.of(MapReading.putAll(map(), puts, OneMap::noPosture));
    }

    private static Posture noPosture(Fields fields) {
        throw new IllegalStateException("Impossible state: no postures are handed over");
    }

    /** The map solved under a setting. */
    SolvedMap solved(JSObject setting) {
        SettingRequest request = SettingReading.read(new JsValue(setting));
        Setting wanted = request.on(index);
        String apart = Js.apartFromTime(setting);
        last = last != null && apart.equals(lastApart)
                ? last.retimed(wanted.read(), wanted.late(), wanted.thinking()) : SolvedMap.of(index, wanted);
        lastApart = apart;
        return last;
    }
}
