package app.narrowgate.browser;

import java.util.List;

/** Calls in their order, packed: their numbers. */
final class CallsPacked {

    private CallsPacked() {
    }

    static Packed of(List<Integer> order) {
        Packed packed = new Packed();
        order.forEach(packed::mark);
        return packed;
    }
}
