package app.narrowgate.browser;

import org.teavm.jso.JSBody;
import org.teavm.jso.JSObject;

/** The few things that are asked of a browser's own values. A class of its own: records cannot have them. */
final class Js {

    private Js() {
    }

    /** 0 an object, 1 a list, 2 a text, 3 a number, 4 true or false, 5 null, 6 anything else. */
    @JSBody(params = "value", script = "switch (typeof value) {"
            + "case 'object': return value === null ? 5 : Array.isArray(value) ? 1 : 0;"
            + "case 'string': return 2; case 'number': return 3; case 'boolean': return 4; default: return 6; }")
    static native int kind(JSObject value);

    @JSBody(params = "value", script = "return Object.keys(value);")
    static native String[] names(JSObject value);

    @JSBody(params = {"value", "name"}, script = "return Object.prototype.hasOwnProperty.call(value, name);")
    static native boolean has(JSObject value, String name);

    @JSBody(params = {"value", "name"}, script = "return value[name];")
    static native JSObject get(JSObject value, String name);

    @JSBody(params = "value", script = "return value.length;")
    static native int length(JSObject value);

    @JSBody(params = {"value", "at"}, script = "return value[at];")
    static native JSObject at(JSObject value, int at);

    @JSBody(params = "value", script = "return value;")
    static native String text(JSObject value);

    @JSBody(params = "value", script = "return value;")
    static native double number(JSObject value);

    @JSBody(params = "value", script = "return value;")
    static native boolean isTrue(JSObject value);

    @JSBody(params = "value", script = "return value.normalize('NFC');")
    static native String composed(String value);

    /** A setting's text without read, late start and thinking time. */
    @JSBody(params = "setting", script = "return JSON.stringify(setting, function (name, value) {"
            + "return name === 'read' || name === 'late' || name === 'thinkBase' || name === 'thinkPerBit' ? undefined : value; });")
    static native String apartFromTime(JSObject setting);

    @JSBody(params = "value", script = "return String(value);")
    static native String written(double value);

    @JSBody(params = {"c", "class_"}, script = "return new RegExp('^\\\\p{' + class_ + '}$', 'u').test(String.fromCodePoint(c));")
    static native boolean isOf(int c, String class_);
}
