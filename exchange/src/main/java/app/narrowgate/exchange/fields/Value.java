package app.narrowgate.exchange.fields;

import java.util.List;

/**
 * One value of a text that has been taken apart: an object, a list, a text, a number, true or false, or null. Unchanging
 * while it is read.
 */
public interface Value {

    /** What a value is, and how a sentence calls one of its kind. */
    enum Kind {
        OBJECT("an object"), LIST("a list"), TEXT("a text"), NUMBER("a number"), TRUTH("true or false"), NULL("null"), NOTHING("nothing");

        private final String called;

        Kind(String called) {
            this.called = called;
        }

        String called() {
            return called;
        }
    }

    Kind kind();

    /** The names of an object's fields in their order; none for anything else. */
    List<String> names();

    /** The value of an object's field; null where it has none of that name, and for anything but an object. */
    Value get(String name);

    /** How many entries a list has, or fields an object; 0 for anything else. */
    int size();

    /** A list's entries in their order; none for anything else. */
    List<Value> items();

    /** A text; undefined for anything else. */
    String text();

    /** A number, infinite beyond what a double holds; undefined for anything else. */
    double number();

    /** True for true; undefined for anything but true or false. */
    boolean isTrue();

    /** True where it is of that kind. */
    default boolean is(Kind kind) {
        return kind() == kind;
    }
}
