package app.narrowgate.core.odds;

import java.util.Arrays;

/** A growing list of ints without boxes. */
final class IntList {

    private int[] items = new int[16];
    private int size;

    void add(int item) {
        if (size == items.length) {
            items = Arrays.copyOf(items, size * 2);
        }
        items[size++] = item;
    }

    int size() {
        return size;
    }

    int[] toArray() {
        return Arrays.copyOf(items, size);
    }
}
