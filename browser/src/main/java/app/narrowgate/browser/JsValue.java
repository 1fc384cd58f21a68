package app.narrowgate.browser;

import app.narrowgate.exchange.fields.Value;
import java.util.ArrayList;
import java.util.List;
import org.teavm.jso.JSObject;

/** A value that the browser took apart itself. */
final class JsValue implements Value {

    private static final Kind[] KINDS = {Kind.OBJECT, Kind.LIST, Kind.TEXT, Kind.NUMBER, Kind.TRUTH, Kind.NULL, Kind.NOTHING};

    private final JSObject value;
    private final Kind kind;

    JsValue(JSObject value) {
        this.value = value;
        this.kind = KINDS[Js.kind(value)];
    }

    @Override
    public Kind kind() {
        return kind;
    }

    @Override
    public List<String> names() {
        return kind == Kind.OBJECT ? List.of(Js.names(value)) : List.of();
    }

    @Override
    public Value get(String name) {
        return kind == Kind.OBJECT && Js.has(value, name) ? new JsValue(Js.get(value, name)) : null;
    }

    @Override
    public int size() {
        return kind == Kind.LIST ? Js.length(value) : names().size();
    }

    @Override
    public List<Value> items() {
        List<Value> items = new ArrayList<>();
        if (kind == Kind.LIST) {
            for (int i = 0; i < Js.length(value); i++) {
                items.add(new JsValue(Js.at(value, i)));
            }
        }
        return items;
    }

    @Override
    public String text() {
        return Js.text(value);
    }

    @Override
    public double number() {
        return Js.number(value);
    }

    @Override
    public boolean isTrue() {
        return Js.isTrue(value);
    }
}
